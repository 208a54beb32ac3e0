import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  writeSync,
} from 'node:fs';
import { join } from 'node:path';
import { Inject, Injectable } from '@nestjs/common';
import type { ServerConfig } from '../config';
import { CONFIG } from '../common/tokens';

/** Pictures in the folder `photos` beside the book, each a file under its id, written once and never changed. */
@Injectable()
export class PhotoFiles {
  private readonly folder: string;

  constructor(@Inject(CONFIG) { dataDir }: ServerConfig) {
    this.folder = join(dataDir, 'photos');
  }

  /**
   * Keeps a picture; once this returns it outlives a pulled plug.
   * @param id a UUID: it becomes the name of a file
   * @returns whether it is new here; one that lies here already stays as it is
   */
  keep(id: string, jpeg: Uint8Array): boolean {
    const file = this.fileOf(id);
    if (existsSync(file)) return false;
    mkdirSync(this.folder, { recursive: true });
    const part = `${file}.part`;
    const to = openSync(part, 'w', 0o600);
    try {
      writeSync(to, jpeg);
      fsyncSync(to);
    } finally {
      closeSync(to);
    }
    renameSync(part, file);
    syncFolder(this.folder);
    return true;
  }

  /** @returns undefined where no such picture lies here */
  read(id: string): Buffer | undefined {
    const file = this.fileOf(id);
    return existsSync(file) ? readFileSync(file) : undefined;
  }

  /** Takes out pictures of a book that was not read in after all. */
  drop(ids: readonly string[]): void {
    for (const id of ids) rmSync(this.fileOf(id), { force: true });
  }

  private readonly fileOf = (id: string): string => join(this.folder, `${id.toLowerCase()}.jpg`);
}

/** A name in a folder is on the disk only when the folder is; Windows has no way to say so, and needs none. */
function syncFolder(folder: string): void {
  if (process.platform === 'win32') return;
  const opened = openSync(folder, 'r');
  try {
    fsyncSync(opened);
  } finally {
    closeSync(opened);
  }
}
