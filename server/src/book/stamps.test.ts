import { Stamps } from './stamps';

const since = (stamps: Stamps, version: number): string[] => [...(stamps.touchedSince(version) ?? ['all'])].sort();

it('tells of those taken back also after a later change, whoever asked with the change in it', () => {
  const stamps = new Stamps();
  const before = stamps.version;
  const undo = stamps.touch(['a']);
  const within = stamps.version;
  undo();
  expect(stamps.version).toBe(before);
  expect(since(stamps, before)).toEqual([]);
  expect(since(stamps, within)).toEqual(['a']);
  stamps.touch(['b']);
  expect(since(stamps, within)).toEqual(['a', 'b']);
  expect(since(stamps, before)).toContain('b');
});

it('tells of nobody between two questions without a change', () => {
  const stamps = new Stamps();
  stamps.touch(['a']);
  expect(since(stamps, stamps.version)).toEqual([]);
});
