import Papa from "papaparse";

/** What a spreadsheet would run: a sign, a control character or its full-width twin at the start, spaces before it or not. */
const FORMULA = /^[\s\u0000-\u001f]*[=+\-@\uFF1D\uFF0B\uFF0D\uFF20\t\r|]/;
/** A field that no spreadsheet takes for a formula: text that could be one is marked as text. Numbers stay numbers. */
const safe = (field: string | number | null): string | number =>
  field === null ? "" : typeof field === "string" && FORMULA.test(field) ? `'${field}` : field;

/** Rows as CSV (RFC 4180): a header, CRLF, quotes doubled, and safe to open in a spreadsheet. */
export const csvOf = (header: readonly string[], rows: readonly (readonly (string | number | null)[])[]): string =>
  `${Papa.unparse({ fields: [...header], data: rows.map((row) => row.map(safe)) }, { newline: "\r\n" })}\r\n`;

/** One line of fields as they are, without a guard: for whoever reads it by a program. */
export const csvLine = (fields: readonly (string | number)[]): string => Papa.unparse([[...fields]], { newline: "\r\n" });
