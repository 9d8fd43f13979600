import { expect, test } from "vitest";
import { WARNING_SIGNS } from "../../core/limits/clinician";
import { CONDITION_IDS } from "../../core/screen/conditions.data";
import { SCREEN_RULES } from "../../core/screen/rules.data";
import { conditionText, gateText, ruleText, sourceText, whomText } from "./screen";

test("every rule, condition and source has words of its own, and every sign says whom to turn to", () => {
  for (const { id, source } of SCREEN_RULES) {
    expect(ruleText(id)).not.toBe(id);
    if (source.kind === "published") expect(sourceText(source)).not.toBe(source.id);
  }
  for (const id of CONDITION_IDS) expect(conditionText(id)).not.toBe(id);
  for (const sign of WARNING_SIGNS) expect(whomText(sign)).toMatch(/emergency|clinician|maternity/);
});
test("a gate says why in words, never in codes", () => {
  const { reasons } = gateText({
    state: "refer",
    verdict: "not-needed",
    because: ["clearance-recommended", "disc-first", "ankle-swelling", "faint"],
  });
  expect(reasons).toHaveLength(4);
  for (const reason of reasons) expect(reason).toMatch(/^[A-Z].* /);
});
