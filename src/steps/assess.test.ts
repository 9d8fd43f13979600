import type { MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { variationById } from "../core/catalogue/catalogue";
import type { Finding } from "../core/assess/finding";
import { judge } from "../core/judge/judge";
import { isCeilingProvisional, openWarningsOf } from "../core/record/standing/history";
import { fitContextOf } from "../core/record/standing/context";
import { listCeilings, listClients } from "../data/repos/client.repo";
import { inTest, makeStudio, openTestDatabase, type TestStudio, recordOf } from "./testing.fixture";
import { keepFinding } from "./assess";
import { adjustCeiling } from "./calibrate";
import { clearWarning } from "./correct";
import { openSession } from "./plan";
import { answerScreen } from "./screen";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = "2026-10-06";
const finding = (protocol: string, value: number, more: Partial<Finding> = {}): Finding => ({
  id: newUuid(),
  day: TODAY,
  protocol,
  side: "both",
  value,
  setUp: {},
  note: "",
  ...more,
});
const keep = ({ scope, clientId }: TestStudio, one: Finding, isConfirmed = false) =>
  inTest(orm, scope, (em) => keepFinding(scope, em, clientId, one, isConfirmed, TODAY));
const adjust = ({ scope, clientId }: TestStudio, ceilingId: string, factor: number, reason = "") =>
  inTest(orm, scope, (em) => adjustCeiling(scope, em, clientId, { ceilingId, factor, reason }, TODAY));

describe("a result", () => {
  test("is kept once however often it is sent, and a later one of the day counts", async () => {
    const studio = await makeStudio(orm);
    const one = finding("chair-stand", 11, { setUp: { seatHeightM: 0.43 }, note: "new shoes" });
    await keep(studio, one);
    await keep(studio, one);
    expect((await recordOf(orm, studio)).findings).toEqual([one]);
    const again = finding("chair-stand", 12);
    await keep(studio, again);
    expect((await recordOf(orm, studio)).findings).toEqual([again]);
    const [line] = await inTest(orm, studio.scope, (em) => listClients(studio.scope, em, "2026-10-10"));
    expect(line?.lastFindings).toEqual([{ protocol: "chair-stand", day: TODAY }]);
  });
  test("is refused where it cannot be: an unknown protocol, a wrong side, a number, a day, half a rise", async () => {
    const studio = await makeStudio(orm);
    const refusalOf = async (one: Finding) => {
      const taken = await keep(studio, one);
      return taken.ok ? null : taken.refusal.code;
    };
    expect(await refusalOf(finding("no-such", 1))).toBe("no-such-protocol");
    expect(await refusalOf(finding("knee-bend", 90))).toBe("no-such-protocol");
    expect(await refusalOf(finding("chair-stand", 61))).toBe("value-out-of-range");
    expect(await refusalOf(finding("chair-stand", 9.5))).toBe("value-out-of-range");
    expect(await refusalOf(finding("chair-stand", 9, { day: "2026-10-07" }))).toBe("day-wrong");
    expect((await recordOf(orm, studio)).findings).toEqual([]);
  });
  test("that is hardly believed is asked about, and kept when it is said again", async () => {
    const studio = await makeStudio(orm);
    const many = finding("chair-stand", 44);
    expect(await keep(studio, many)).toMatchObject({ ok: false, refusal: { code: "value-unlikely" } });
    expect(await keep(studio, many, true)).toEqual({ ok: true });
  });
  test("that tires is not taken before the screen is answered; a range is", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId } = studio;
    const signs = { id: newUuid(), day: TODAY, signs: ["calf-swelling"], symptoms: [] } as const;
    await inTest(orm, scope, (em) => answerScreen(scope, em, clientId, { signs }, TODAY));
    expect(await keep(studio, finding("chair-stand", 11))).toMatchObject({ refusal: { code: "screen-before-effort" } });
    expect(await keep(studio, finding("knee-bend", 120, { side: "left" }))).toEqual({ ok: true });
  });
});

describe("a measured range", () => {
  test("closes on Fit what would go past it, and opens it again when it is measured further", async () => {
    const studio = await makeStudio(orm);
    const stateAt = async (seatHeightM: number) => {
      const context = fitContextOf(await recordOf(orm, studio), TODAY);
      return context && judge(context, variationById("plain-chair-sit-to-stand"), { seatHeightM }).reasons.map(({ code }) => code);
    };
    expect(await stateAt(0.46)).not.toContain("over-limit");
    await keep(studio, finding("knee-bend", 80, { side: "right", day: "2026-10-05" }));
    expect(await stateAt(0.46)).toContain("over-limit");
    await keep(studio, finding("knee-bend", 125, { side: "right" }));
    expect(await stateAt(0.46)).not.toContain("over-limit");
  });
});

describe("pain that spreads in a test", () => {
  test("is a warning sign: on every list, against every session, until a clinician has cleared it by name", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId } = studio;
    const spread = finding("bend-response", 3);
    await keep(studio, spread);
    expect(openWarningsOf(await recordOf(orm, studio))).toMatchObject([{ sourceId: spread.id, sign: "spreading-pain", day: TODAY }]);
    expect((await inTest(orm, scope, (em) => listClients(scope, em, "2026-10-10")))[0]?.openSigns.length).toBe(1);
    expect(await inTest(orm, scope, (em) => openSession(scope, em, clientId, TODAY))).toMatchObject({ ok: false });
    await keep(studio, finding("bend-response", 0)); // entered again: the sign stays
    expect(openWarningsOf(await recordOf(orm, studio))).toHaveLength(1);
    const clearance = { sourceId: spread.id, sign: "spreading-pain", by: "Dr Lowe", role: "doctor", note: "" } as const;
    await inTest(orm, scope, (em) => clearWarning(scope, em, clientId, { ...clearance, day: TODAY }));
    expect(openWarningsOf(await recordOf(orm, studio))).toEqual([]);
  });
});

describe("a ceiling moved by the trainer", () => {
  const contextOf = async (studio: TestStudio) => {
    const context = fitContextOf(await recordOf(orm, studio), TODAY);
    if (!context) throw new Error("no context");
    return context;
  };
  const firstOf = async (studio: TestStudio) => {
    const [first] = (await contextOf(studio)).ceilings;
    if (!first) throw new Error("no ceiling");
    return first;
  };
  test("is tighter at once and stays as sure as it was; looser only with a reason, and then provisional again", async () => {
    const studio = await makeStudio(orm);
    const before = await firstOf(studio);
    const isProvisional = async () =>
      isCeilingProvisional(await recordOf(orm, studio), (await contextOf(studio)).subject, await firstOf(studio));
    expect(await isProvisional()).toBe(false);
    expect(await adjust(studio, before.id, 0.8)).toEqual({ ok: true });
    const tighter = await firstOf(studio);
    expect(tighter.value).toBeCloseTo(before.value * 0.8, 6);
    expect(await isProvisional()).toBe(false);
    expect(await adjust(studio, tighter.id, 1.1)).toMatchObject({ ok: false, refusal: { code: "loosening-needs-reason" } });
    expect(await adjust(studio, tighter.id, 1.1, "calm for weeks, scale was wrong")).toEqual({ ok: true });
    expect((await firstOf(studio)).value).toBeCloseTo(before.value * 0.88, 6);
    expect(await isProvisional()).toBe(true);
    expect(await adjust(studio, tighter.id, 0.9)).toMatchObject({ ok: false, refusal: { code: "no-such-ceiling" } }); // it no longer counts
    const history = await inTest(orm, studio.scope, (em) => listCeilings(studio.scope, em, studio.clientId));
    expect(history.map(({ source, reason }) => [source.kind, reason])).toEqual([
      ["calm-pose", ""],
      ["trainer", ""],
      ["trainer", "calm for weeks, scale was wrong"],
    ]);
  });
});
