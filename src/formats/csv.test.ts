import Papa from "papaparse";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { csvLine, csvOf } from "./csv";

describe("CSV", () => {
  test("doubles quotes, keeps commas and breaks in quotes, ends lines with CRLF", () => {
    expect(csvLine(['he said "ok"', "a,b", "two\nlines", 3])).toBe('"he said ""ok""","a,b","two\nlines",3');
    expect(csvOf(["a", "b"], [[1, null]])).toBe("a,b\r\n1,\r\n");
  });
  test("nothing that a spreadsheet would run, and numbers stay numbers", () => {
    const guarded = ["=1+1", "+x", "-x", "@x", "\t=1", " =1", "＝1", "|cmd"].map((field) => csvOf(["f"], [[field]]).split("\r\n")[1]);
    for (const field of guarded) expect(field?.replace(/^"/, "").startsWith("'")).toBe(true);
    expect(csvOf(["f"], [[-5]])).toBe("f\r\n-5\r\n");
    expect(csvOf(["f"], [["a=b"]])).toBe("f\r\na=b\r\n");
  });
  test("is read back by a reader as it was written", () => {
    const field = fc.string({ unit: "grapheme", maxLength: 20 }).filter((text) => !/[\r\0]/.test(text) && text.trim() === text);
    let read = 0;
    fc.assert(
      fc.property(fc.array(fc.array(field, { minLength: 3, maxLength: 3 }), { minLength: 1, maxLength: 6 }), (rows) => {
        const { data } = Papa.parse<string[]>(rows.map(csvLine).join("\r\n"), { delimiter: ",", newline: "\r\n" });
        expect(data).toEqual(rows);
        read += rows.length;
      }),
    );
    expect(read).toBeGreaterThan(100);
  });
});
