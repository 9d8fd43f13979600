import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { type Change, type Finding, protocolOf } from "../../core/assess/finding";
import { normOf } from "../../core/assess/norm";
import { PROTOCOLS } from "../../core/assess/protocols.data";
import { SCREEN_RULES } from "../../core/screen/rules.data";
import { POSED } from "../../ui/assess/poses.data";
import { adviceText, apartText, changeText, findingText, placeText } from "./assess";
import { isWorded, optionText } from "../basics/protocol";
import { sourceText } from "./screen";

const sources = readFileSync("docs/sources.md", "utf8");
const LADDERS = ["calm-seat", "calm-step"]; // drawn to the client's scale instead

describe("every protocol", () => {
  test.each(PROTOCOLS)("$id has its words, its picture and its sources", ({ id, options = [], source, change }) => {
    expect(isWorded(id)).toBe(true);
    for (const option of options) expect(optionText(option)).not.toBe(option);
    if (!LADDERS.includes(id)) expect(POSED[id]).toBeDefined();
    const norm = normOf(id, { age: 62, sex: "female" }) ?? normOf(id, { age: 45, sex: "female" });
    const published = [source, change?.source].flatMap((each) => (each?.kind === "published" ? [each.id] : []));
    for (const of of [...published, ...(norm && norm.source !== "trade" ? [norm.source] : [])]) {
      expect(sources).toContain(`| ${of} |`);
      expect(sourceText({ kind: "published", id: of })).not.toBe(of);
    }
  });
  test("and every rule names a source that is in the list", () => {
    const ids = SCREEN_RULES.flatMap(({ source }) => (source.kind === "published" ? [source.id] : []));
    expect(ids.length).toBeGreaterThan(5);
    for (const id of ids) expect(sources).toContain(`| ${id} |`);
  });
});

describe("words", () => {
  const chair = protocolOf("chair-stand");
  const before: Finding = { id: "a", day: "2026-10-20", protocol: "chair-stand", side: "both", value: 11, setUp: {}, note: "" };
  const say = (change: Change): string => (chair ? changeText(change, chair, "metric") : "");
  test("of a range never pass or fail anybody", () => {
    const norm = normOf("chair-stand", { age: 61, sex: "female" });
    expect(norm && placeText("below", norm, { age: 61, sex: "female" })).toBe("Below the published range of women of 61.");
    const slow = normOf("five-rises", { age: 66, sex: "male" });
    expect(slow && placeText("above", slow, { age: 66, sex: "male" })).toBe("Slower than the published average of people of 66.");
  });
  test("of a change say whether it is more than the error, or that nobody knows", () => {
    expect(say({ kind: "within-error", difference: 1, before })).toBe("1 more since 20 Oct: within the measurement's own error of 1.64.");
    expect(say({ kind: "real", difference: -2, isBetter: false, before })).toMatch(
      /^2 less since 20 Oct: really worse, more than the error/,
    );
    expect(say({ kind: "error-unknown", difference: 0, before })).toMatch(/^The same as 20 Oct\. How much/);
    expect(say({ kind: "other-set-up", before })).toBe("Measured differently 20 Oct: not compared.");
  });
  test("of sides name the worse one, with a ratio only where there is one", () => {
    expect(apartText({ worse: "right", deficitFraction: 0.25 })).toBe("25% short on the right");
    expect(apartText({ worse: "left", deficitFraction: null })).toBe("worse on the left");
    expect(apartText({ worse: null, deficitFraction: 0 })).toBe("both sides the same");
  });
  test("of values are in the client's units", () => {
    const text = (id: string, value: number, units: "metric" | "imperial" = "metric") => {
      const protocol = protocolOf(id);
      return protocol && findingText(protocol, value, units);
    };
    expect(text("shin-forward", 0.09)).toBe("9 cm, about 32°");
    expect(text("thigh-girth", 0.508, "imperial")).toBe("20 in");
    expect(text("walking-speed", 1.2, "imperial")).toBe("3.9 ft/s");
    expect(text("step-down", 2)).toBe("2 of 6");
    expect(text("bend-response", 3)).toBe("Spreads below the buttock");
    expect(text("weight-share", 0.43)).toBe("43%");
  });
  test("of advice name the side and the numbers", () => {
    expect(adviceText({ code: "straight-and-bend-first", side: "right", bendDeg: 95, shortDeg: null })).toBe(
      "Right replaced knee: bends to 95° of 110°, straightening not measured. Straightening and bend come before depth and load.",
    );
  });
});
