import type jsQR from 'jsqr';

/** Whether there is a camera to ask for: browsers give one to a page of this computer, or over an encrypted line. */
export const hasCamera = (): boolean => typeof navigator.mediaDevices?.getUserMedia === 'function';

/** Looked at so often: quick for a hand, easy on a phone. */
const LOOK_MS = 150;

/**
 * Reads codes (QR) off the camera that looks away from the person, until it is stopped.
 *
 * @param video shows what the camera sees
 * @param onCode told each code that is read
 * @returns how to stop; the camera is off then
 * @throws what the browser says where it gives no camera
 */
export async function watchCodes(video: HTMLVideoElement, onCode: (code: string) => void): Promise<() => void> {
  const [stream, reader] = await Promise.all([
    navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' }, audio: false }),
    import('jsqr'),
  ]);
  video.srcObject = stream;
  await video.play();
  const canvas = document.createElement('canvas');
  const timer = setInterval(() => {
    const code = codeIn(video, canvas, reader.default);
    if (code !== undefined) onCode(code);
  }, LOOK_MS);
  return () => {
    clearInterval(timer);
    stream.getTracks().forEach((track) => track.stop());
    video.srcObject = null;
  };
}

function codeIn(video: HTMLVideoElement, canvas: HTMLCanvasElement, read: typeof jsQR): string | undefined {
  const { videoWidth: width, videoHeight: height } = video;
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (width === 0 || height === 0 || !pen) return undefined;
  canvas.width = width;
  canvas.height = height;
  pen.drawImage(video, 0, 0, width, height);
  return read(pen.getImageData(0, 0, width, height).data, width, height, { inversionAttempts: 'dontInvert' })?.data;
}
