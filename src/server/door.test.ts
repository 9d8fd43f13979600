import { describe, expect, test } from "vitest";
import { isTooDeep } from "./door";

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const nested = (depth: number, [open, close] = ["[", "]"]): string => open.repeat(depth) + close.repeat(depth);

describe("JSON at the door", () => {
  test("is let in as deep as anything of ours, and no deeper, in lists and objects", () => {
    expect(isTooDeep(bytes(nested(64)))).toBe(false);
    expect(isTooDeep(bytes(nested(65)))).toBe(true);
    expect(isTooDeep(bytes(nested(65, ['{"a":', "}"])))).toBe(true);
    expect(isTooDeep(bytes(`[${"[],{},".repeat(100)}0]`))).toBe(false); // side by side is not deep
  });
  test("may hold any brackets in what a person wrote", () => {
    expect(isTooDeep(bytes(JSON.stringify({ note: "[".repeat(500) })))).toBe(false);
    expect(isTooDeep(bytes(JSON.stringify({ note: `"\\"[{`.repeat(200) })))).toBe(false);
    expect(isTooDeep(bytes(`{"note":"\\\\",${nested(65).slice(0, 65)}`))).toBe(true); // the text ended before them
  });
});
