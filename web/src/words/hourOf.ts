/** A day at the hour it is now on this device: `2026-11-24T07:30`. */
export function hourOf(on: string, now = new Date()): string {
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${on}T${two(now.getHours())}:${two(now.getMinutes())}`;
}
