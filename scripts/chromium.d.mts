export const chromiumOptions: { executablePath: string; args: string[] };
export function ensureChromium(): void;
