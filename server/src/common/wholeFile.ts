import { closeSync, fsyncSync, openSync, renameSync, writeFileSync } from 'node:fs';

/** What was written outlives a pulled plug. */
export function onDisk(path: string): void {
  const file = openSync(path, 'r+');
  try {
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

/**
 * Writes a small file whole, or not at all.
 * @param mode who may read and write it, as `chmod` has it
 */
export function writeWhole(file: string, text: string, mode = 0o644): void {
  writeFileSync(`${file}.part`, text, { mode });
  onDisk(`${file}.part`);
  renameSync(`${file}.part`, file);
}
