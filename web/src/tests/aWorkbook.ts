import { strToU8, zipSync } from 'fflate';

const XML = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';
const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';

/** Days from 30 Dec 1899, as a workbook keeps them. */
export const serial = (iso: string): number => Date.parse(`${iso}T00:00:00Z`) / 86_400_000 + 25_569;
/** A cell of words, of figures; style 1 is a day. */
export const text = (at: string, value: string): string => `<c r="${at}" t="inlineStr"><is><t>${value}</t></is></c>`;
export const figure = (at: string, value: number, style = 0): string => `<c r="${at}" s="${style}"><v>${value}</v></c>`;

/** A workbook as a spreadsheet saves it: one sheet of these rows, style 1 is a day. */
export function aWorkbook(rows: readonly string[], more: Record<string, Uint8Array> = {}): Uint8Array {
  const sheet = rows.map((cells, i) => `<row r="${i + 1}">${cells}</row>`).join('');
  const file = (body: string): Uint8Array => strToU8(XML + body);
  return zipSync({
    '[Content_Types].xml': file(
      `<Types xmlns="${PACKAGE}/content-types"><Default Extension="xml" ContentType="application/xml"/><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/></Types>`,
    ),
    '_rels/.rels': file(
      `<Relationships xmlns="${PACKAGE}/relationships"><Relationship Id="rId1" Type="${OFFICE}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
    ),
    'xl/workbook.xml': file(
      `<workbook xmlns="${MAIN}" xmlns:r="${OFFICE}"><sheets><sheet name="Ewes" sheetId="1" r:id="rId1"/></sheets></workbook>`,
    ),
    'xl/_rels/workbook.xml.rels': file(
      `<Relationships xmlns="${PACKAGE}/relationships"><Relationship Id="rId1" Type="${OFFICE}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Type="${OFFICE}/styles" Target="styles.xml"/></Relationships>`,
    ),
    'xl/styles.xml': file(
      `<styleSheet xmlns="${MAIN}"><cellXfs count="2"><xf numFmtId="0"/><xf numFmtId="14" applyNumberFormat="1"/></cellXfs></styleSheet>`,
    ),
    'xl/worksheets/sheet1.xml': file(`<worksheet xmlns="${MAIN}"><sheetData>${sheet}</sheetData></worksheet>`),
    ...more,
  });
}
