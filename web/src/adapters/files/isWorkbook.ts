/** What a workbook (.xlsx) begins with: it is a ZIP archive. */
const ZIP = [0x50, 0x4b, 0x03, 0x04] as const;

/** Whether the bytes of a file are those of a workbook, by its beginning and not by its name. */
export const isWorkbook = (bytes: Uint8Array): boolean => ZIP.every((byte, i) => bytes[i] === byte);
