import { describe, expect, test } from "vitest";
import { isBinding, type Limit, limitState } from "./limit";

const limit = (more: Partial<Limit>): Limit => ({
  id: "1",
  rule: { kind: "most", channel: "kneeFlexion", most: 95 },
  side: "right",
  owner: { kind: "clinician", name: "surgeon" },
  fromDay: "2026-09-01",
  untilDay: "2027-01-12",
  lift: null,
  ...more,
});

describe("a limit", () => {
  test("binds from its first day to the end of its last", () => {
    expect(limitState(limit({}), "2026-08-31")).toBe("coming");
    expect(limitState(limit({}), "2026-09-01")).toBe("in-force");
    expect(limitState(limit({}), "2027-01-12")).toBe("in-force");
  });
  test("of a clinician stays in force past its date, as a question", () => {
    expect(limitState(limit({}), "2027-01-13")).toBe("ask");
    expect(isBinding(limit({}), "2027-06-01")).toBe(true);
  });
  test("of the client or a rule ends by itself", () => {
    expect(limitState(limit({ owner: { kind: "client", name: "Maren" } }), "2027-01-13")).toBe("ended");
    expect(isBinding(limit({ owner: { kind: "rule", name: "gentle school" } }), "2027-01-13")).toBe(false);
  });
  test("is lifted from the day someone recorded it, not before", () => {
    const lifted = limit({ lift: { kind: "lifted", by: "Dr Vane", role: "surgeon", day: "2026-12-01", reason: "healed" } });
    expect(limitState(lifted, "2026-11-30")).toBe("in-force");
    expect(limitState(lifted, "2026-12-01")).toBe("lifted");
  });
  test("without an end binds until it is lifted", () => expect(limitState(limit({ untilDay: null }), "2099-01-01")).toBe("in-force"));
  test("entered by mistake never counted, which is not the same as lifted", () => {
    const mistake = limit({ lift: { kind: "mistake", by: "Dana", role: "trainer", day: "2026-12-01", reason: "other knee" } });
    expect(limitState(mistake, "2026-11-30")).toBe("mistake");
    expect(isBinding(mistake, "2026-11-30")).toBe(false);
  });
});
