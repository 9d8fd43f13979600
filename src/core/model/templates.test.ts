import { describe, expect, test } from "vitest";
import { bodyFromMeasure } from "../body/body";
import { BODY } from "../fit/fit.fixture";
import { CHANNELS } from "../mechanics/channels";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import type { ChannelRow, ModelPose, ModelResult } from "./model-pose";
import { startValues } from "./template";
import { MODEL_TEMPLATES } from "./templates";

const TALL = bodyFromMeasure({ heightM: 1.88, massKg: 96, sex: "male" });
const SHORT = bodyFromMeasure({ heightM: 1.52, massKg: 61, sex: "female", bellyKg: 6 });

const templateOf = (id: string) => {
  const found = MODEL_TEMPLATES.find((row) => row.id === id);
  if (!found) throw new RangeError(id);
  return found;
};
const poseOf = (id: string, values: Record<string, number> = {}, body = BODY): ModelPose => {
  const pose = templateOf(id).pose({ body, posture: DEFAULT_POSTURE }, { ...startValues(templateOf(id)), ...values });
  if (!pose.ok) throw new Error(`${id}: ${pose.reason}`);
  return pose;
};
type NumberRow = Extract<ChannelRow, { reads: "number" }>;
const row = (pose: ModelPose, channel: string): NumberRow => {
  const found = pose.channels.find((entry) => entry.channel === channel);
  if (found?.reads !== "number") throw new RangeError(channel);
  return found;
};
const numbersIn = (value: unknown): number[] =>
  typeof value === "number" ? [value] : typeof value === "object" && value !== null ? Object.values(value).flatMap(numbersIn) : [];
const expectSound = (pose: ModelResult): void => {
  if (!pose.ok) expect(pose.reason).toMatch(/^[a-z0-9-]+$/);
  else expect(numbersIn(pose).every((value) => Number.isFinite(value))).toBe(true);
};

test("ids are unique and every movement runs along one of its own levers", () => {
  expect(new Set(MODEL_TEMPLATES.map(({ id }) => id)).size).toBe(MODEL_TEMPLATES.length);
  for (const { levers, movement } of MODEL_TEMPLATES) expect(levers.map(({ id }) => id)).toContain(movement.lever);
});

describe.each(MODEL_TEMPLATES.map((template) => ({ id: template.id, template })))("$id", ({ template }) => {
  const at = (values: Record<string, number>, body = BODY) =>
    template.pose({ body, posture: DEFAULT_POSTURE }, { ...startValues(template), ...values });

  test("can be held as it starts by a short, a middling and a tall body, and along its movement", () => {
    for (const body of [SHORT, BODY, TALL]) expect(at({}, body)).toMatchObject({ ok: true });
    const { lever, from, to } = template.movement;
    const poses = Array.from({ length: 9 }, (_, i) => at({ [lever]: from + ((to - from) * i) / 8 }));
    expect(poses.filter(({ ok }) => ok).length).toBeGreaterThanOrEqual(8);
    poses.forEach(expectSound);
  });

  test("shows every channel inside its range, with its trust, and only those that mean something in it", () => {
    const pose = at({});
    if (!pose.ok) throw new Error(pose.reason);
    for (const entry of pose.channels) {
      const { appliesTo } = CHANNELS[entry.channel];
      expect(appliesTo as readonly string[]).toContain(pose.kind);
      if (entry.reads === "rank") {
        expect(Number.isInteger(entry.rank)).toBe(true);
        continue;
      }
      for (const range of [entry.lead, entry.trail])
        if (range) expect([entry.channel, range.low <= range.head && range.head <= range.high]).toEqual([entry.channel, true]);
      expect(["A", "A-", "B", "C"]).toContain(entry.trust);
    }
  });

  test("answers the ends of every lever with a pose or a reason, never NaN", () => {
    for (const { id, min, max } of template.levers) for (const value of [min, max]) expectSound(at({ [id]: value }));
  });
});

describe("what the templates say", () => {
  test("a split stance is a range, and a kneecap past 90 degrees is refused", () => {
    const knee = row(poseOf("split"), "kneeMoment");
    expect(knee.trust).toBe("C");
    expect(knee.lead.high - knee.lead.low).toBeGreaterThan(5);
    expect(row(poseOf("squat", { knee: 100 }), "kneecapStress").refused).toBe("kneecap-past-90");
    expect(row(poseOf("squat", { knee: 10 }), "kneeContact").refused).toBe("knee-near-straight");
  });
  test("a hand force is a range; without it there is none", () => {
    const [held, free] = [poseOf("pole-squat"), poseOf("pole-squat", { hands: 0 })];
    expect(row(held, "kneeMoment").lead.high).toBeGreaterThan(row(held, "kneeMoment").lead.low + 1);
    expect(row(free, "kneeMoment").lead.high).toBe(row(free, "kneeMoment").lead.low);
  });
  test("a wall sit is heavier for the knee than a free squat as deep", () => {
    expect(row(poseOf("wall-sit", { knee: 90 }), "kneeMoment").lead.head).toBeGreaterThan(
      row(poseOf("squat", { knee: 90 }), "kneeMoment").lead.head,
    );
  });
  test("a stiffer band carries more and leaves the knee less", () => {
    const hung = (tensionN: number, lengthM = 1.35): ModelPose => {
      const band = { restM: 0.9, points: [{ lengthM, tensionN }] };
      const pose = templateOf("band-squat").pose({ body: BODY, posture: DEFAULT_POSTURE, band }, {});
      if (!pose.ok) throw new Error(pose.reason);
      return pose;
    };
    expect(row(hung(20 * 9.81), "kneeMoment").lead.head).toBeLessThan(row(hung(5 * 9.81), "kneeMoment").lead.head);
    // hung at some 1.5 m: past what was measured to 1.35 m, within what was measured to 1.8 m
    expect(hung(12 * 9.81).warnings).toContain("band-extrapolated");
    expect(hung(24 * 9.81, 1.8).warnings).not.toContain("band-extrapolated");
    expect(poseOf("band-squat").warnings).toContain("band-unmeasured");
  });
  test("wide legs give the belly more room", () => {
    expect(row(poseOf("wide-squat", { apart: 30 }), "bellyRoom").lead.head).toBeGreaterThan(
      row(poseOf("wide-squat", { apart: 0 }), "bellyRoom").lead.head,
    );
  });
  test("a handle higher up asks less of the back, and one on the floor is out of reach of straight arms", () => {
    expect(row(poseOf("hinge-handle", { handle: 0.7 }), "lowBackMoment").lead.head).toBeLessThan(
      row(poseOf("hinge-handle", { handle: 0.4 }), "lowBackMoment").lead.head,
    );
    const low = templateOf("hinge-handle").pose({ body: TALL, posture: DEFAULT_POSTURE }, { handle: 0.02, knee: 5, load: 0 });
    expect(low).toEqual({ ok: false, reason: "handle-out-of-reach" });
  });
  test("a ball takes no push along the floor, so nothing about it is left open", () => {
    const hip = row(poseOf("bridge-ball"), "hipMoment").lead;
    expect(hip.high).toBe(hip.low);
  });
  test("feet on a wall are held by friction that is just enough", () => {
    expect(row(poseOf("bridge-wall"), "friction").lead.head).toBeCloseTo(0.6, 9);
  });
  test("lying counts on the floor, not propped on a bench; the hips' load does not go through the spine", () => {
    expect(row(poseOf("bridge"), "lyingTime").lead.head).toBe(40);
    expect(row(poseOf("bridge", { bench: 0.42, load: 40 }), "lyingTime").lead.head).toBe(0);
    expect(row(poseOf("bridge", { bench: 0.42, load: 40 }), "spineLoad").lead.head).toBe(0);
    expect(row(poseOf("hinge-back", { load: 20 }), "spineLoad").lead.head).toBeCloseTo(196.2, 6);
  });
  test("ranks go up from lying over two feet to one, and from feet that stay down to one that lands", () => {
    const rank = (id: string, channel: string, values = {}): number => {
      const entry = poseOf(id, values).channels.find((e) => e.channel === channel);
      return entry?.reads === "rank" ? entry.rank : NaN;
    };
    const balance = ["bridge", "pole-squat", "squat", "split", "single-leg"].map((id) => rank(id, "balanceDemand"));
    expect(balance).toEqual([0, 1, 2, 3, 4]);
    expect(["squat", "step-up", "step-down"].map((id) => rank(id, "impact"))).toEqual([0, 1, 2]);
  });
  test("a straight-leg raise works the front of the hip: below nothing", () => {
    expect(row(poseOf("straight-leg-raise"), "hipMoment").lead.head).toBeLessThan(0);
  });
});
