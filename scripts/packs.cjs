const { mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } = require('node:fs');
const { basename, join, relative, sep } = require('node:path');

/*
 * Jest reads the modules of a test file anew for each file: of a server or of a page that takes longer than many of the
 * tests. In the whole run files are read by the pack, each in a block of its own named after it, and the modules once a
 * pack. A file that changes what others would read says `@alone` in its first lines.
 */
const ALONE = /^\s*(\/\*\*|\/\/) @alone/m;
const root = join(__dirname, '..');

/** Test files under a folder, the long ones first. */
function testFiles(folder, ending) {
  const files = readdirSync(folder, { recursive: true }).map((file) => join(folder, file));
  return files
    .filter((file) => file.endsWith(ending))
    .sort((a, b) => statSync(b).size - statSync(a).size || (a < b ? -1 : 1));
}

/** Writes the packs of a room. @returns the folder they are in */
function writePacks(name, ending, count) {
  const folder = join(root, '.cache/packs', `${name}${ending}`);
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const packs = Array.from({ length: count }, () => ({ size: 0, files: [] }));
  for (const file of testFiles(join(root, name, 'src'), ending)) {
    if (ALONE.test(readFileSync(file, 'utf8').slice(0, 2000))) {
      packs.push({ size: Infinity, files: [file] });
      continue;
    }
    const least = packs.reduce((a, b) => (b.size < a.size ? b : a));
    least.files.push(file);
    least.size += statSync(file).size;
  }
  for (const [i, { files }] of packs.entries()) {
    const blocks = files.map((file) => {
      const named = relative(root, file).split(sep).join('/');
      return `describe(${JSON.stringify(named)}, () => {\n  require(${JSON.stringify(file)});\n});\n`;
    });
    const first = files.length === 1 ? basename(files[0]).split('.')[0] : `pack${i + 1}`;
    if (blocks.length > 0) writeFileSync(join(folder, `${first}.pack.ts`), blocks.join(''));
  }
  return folder;
}

module.exports = { writePacks };
