const KEY = 'yaylak-sounds';

export const areSoundsOn = (): boolean => localStorage.getItem(KEY) !== 'off';
export const setSoundsOn = (on: boolean): void => localStorage.setItem(KEY, on ? 'on' : 'off');

let context: AudioContext | undefined;

/** A short tone; silence where the device has no sound or it is off. */
function tone(hertz: number, seconds: number): void {
  if (!areSoundsOn() || !('AudioContext' in window)) return;
  context ??= new AudioContext();
  const oscillator = context.createOscillator();
  const gain = context.createGain();
  oscillator.frequency.value = hertz;
  gain.gain.setValueAtTime(0.12, context.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + seconds);
  oscillator.connect(gain).connect(context.destination);
  oscillator.start();
  oscillator.stop(context.currentTime + seconds);
}

export const tick = (): void => tone(1400, 0.05);
export const buzz = (): void => tone(140, 0.25);
