/**
 * What the trade does with twenty invented clients, written from the handbook before the rules: rows that must be closed,
 * and rows that must not be. Source of each: common practice, no source, by the condition's row in the handbook (G3, G4,
 * E4, B3) and the entry's own "not for". A closed row is so by a rule where `by` says so; depth, heat of the day and
 * ceilings close others beside them.
 */
export interface ScriptedClient {
  name: string;
  input: object;
  closed: string;
  /** Open, or one light set first. */
  offered: string;
  /** The rule that closes all of `closed`. */
  by?: string;
}
const BODY = { heightM: 1.7, massKg: 70, sex: "female" };
const pain = (site: string, side: string) => ({ site, side, usualPainScore: 2, painLimitScore: 3 });
const calm = (limitedBy: string, seatHeightM: number) => ({
  variationId: "raised-sit-to-stand",
  setting: { seatHeightM },
  side: "right",
  limitedBy,
  shareFraction: null,
});
const client = (more: object): object => ({ today: "2026-11-27", body: BODY, ...more });
const KNEE = { complaints: [pain("knee", "right")], calmPose: calm("knee", 0.54) };
const KNEECAP = { complaints: [pain("kneecap", "right")], calmPose: calm("kneecap", 0.54) };
const HIP = { complaints: [pain("hip", "right")], calmPose: calm("hip", 0.54) };
const BACK = { complaints: [pain("low-back", "both")], calmPose: calm("low-back", 0.48) };
const range = (side: string, straightLackDeg: number, bendDeg: number) => ({ range: [{ joint: "knee", side, straightLackDeg, bendDeg }] });

export const SCRIPTED: readonly ScriptedClient[] = [
  {
    name: "an arthritic knee: partial and raised, nothing deep, no landing",
    input: client({ ...KNEE, conditions: [{ kind: "knee-arthritis", side: "right" }] }),
    closed: "S21 S22 S23 S33 L23 L28 L29 K10 A17 E07 H24",
    offered: "S01 S02 S05 S06 S10 K01 K02 K03 A03 A04 C01 E01 E04 T01",
  },
  {
    name: "an inflamed knee",
    input: client({ ...KNEE, conditions: [{ kind: "inflammatory-arthritis", side: "right" }] }),
    closed: "S21 S33 L29 E07",
    offered: "S01 S02 K02 A03 E04",
  },
  {
    name: "kneecap pain: bench, then the pole in the opposite hand, then free",
    input: client({ ...KNEECAP, conditions: [{ kind: "kneecap-pain", side: "right" }] }),
    closed: "L06 L07 L08 L17 L21 L22 L23 S21 S22 S33",
    offered: "S28 L09 S32 L15 L16 K05 S10",
    by: "kneecap-step-down",
  },
  {
    name: "a replaced knee at 8 and 95 degrees: straight and bend before strength",
    input: client({
      ...KNEE,
      conditions: [{ kind: "knee-replacement", side: "right", day: "2026-08-01" }],
      findings: range("right", 8, 95),
    }),
    closed: "S06 S08 S17 S34 L01 L03 L31 K09 S35 H08",
    offered: "M07 M10 M11 M12 M13 M14 S01 S02 K02 K05 A01 A03 B01 C01 C02 E01 E04",
  },
  {
    name: "the same knee at 0 and 112 degrees: held squats, stairs, small lunge",
    input: client({
      ...KNEE,
      conditions: [{ kind: "knee-replacement", side: "right", day: "2026-06-01" }],
      findings: range("right", 0, 112),
    }),
    closed: "S21 S33 L23 M08 E07 K10",
    offered: "S06 S34 L03 L04 L18 B01 H01 H07 C02 E01",
  },
  {
    name: "week three after a ligament repair: supported ways",
    input: client({ ...KNEE, conditions: [{ kind: "knee-ligament-repair", side: "right", day: "2026-11-06" }] }),
    closed: "M08 M09 K09 L06 L07 L08 S21 E07 S17 H08",
    offered: "K08 M07 M10 M11 S27 L01 L03 K05 B01",
  },
  {
    name: "month six: mostly one leg, the heavy extension still waits",
    input: client({ ...KNEE, conditions: [{ kind: "knee-ligament-repair", side: "right", day: "2026-05-27" }] }),
    closed: "K09 M08 M09",
    offered: "S27 S29 L01 L05 L06 L07 K05 S17 B03",
    by: "repair-face-down",
  },
  {
    name: "a year after: prone stretch and heavy extension come back",
    input: client({ ...KNEE, conditions: [{ kind: "knee-ligament-repair", side: "right", day: "2025-11-01" }] }),
    closed: "H30",
    offered: "K09 M09 S17 L07",
  },
  {
    name: "a knee tendon: load before height",
    input: client({ ...KNEE, conditions: [{ kind: "knee-tendon", side: "right" }] }),
    closed: "S23 L13 L14",
    offered: "L11 L12 S09 K05",
    by: "tendon-height",
  },
  {
    name: "repeated ankle sprains, heel not in line: the coin first",
    input: client({
      ...KNEE,
      conditions: [{ kind: "ankle-sprain", side: "right" }],
      findings: { neutralHeelRaise: { left: true, right: false } },
    }),
    closed: "S26 L24 L25",
    offered: "C02 C03 C08 S08",
    by: "sprain-barefoot",
  },
  {
    name: "repeated ankle sprains, heel in line",
    input: client({
      ...KNEE,
      conditions: [{ kind: "ankle-sprain", side: "right" }],
      findings: { neutralHeelRaise: { left: true, right: true } },
    }),
    closed: "H30",
    offered: "S26 C03",
  },
  {
    name: "a weak side of the hip: never full depth, the strap lunge",
    input: client({ ...HIP, conditions: [{ kind: "hip-weak-side", side: "right" }] }),
    closed: "S21 S33 L17 L28 L29 M05",
    offered: "L19 L18 B07 A06 M02",
  },
  {
    name: "a bend-sensitive back: one leg, hex or wide, supported rows",
    input: client({ ...BACK, conditions: [{ kind: "back-bending" }] }),
    closed: "H13 H17 P07 S35 T10",
    offered: "S37 H14 H11 L26 P05 P04 B08",
    by: "bend-rows",
  },
  {
    name: "disc-type pain: bar off the back, swaps for it",
    input: client({ ...BACK, conditions: [{ kind: "back-disc" }] }),
    closed: "S19 S20 H10 H13 H16 H17 P07 P09 T10 H24 E07",
    offered: "S17 S18 S37 L21 L26 H14 H08 P05 P04 P08 T01 T02 T05 T03 B03",
  },
  {
    name: "a back that arching hurts",
    input: client({ ...BACK, conditions: [{ kind: "back-extension" }] }),
    closed: "H20 H21 H22 H23 P09",
    offered: "B01 P08 H01 S17",
    by: "arch-range",
  },
  {
    name: "a one-sided spasm waits for a level pelvis",
    input: client({ ...BACK, conditions: [{ kind: "back-one-sided" }], findings: { levelPelvis: { left: true, right: false } } }),
    closed: "H11 H12 T04 T07 P10",
    offered: "M01 B07 T03 H01 T01",
    by: "spasm-carry",
  },
  {
    name: "the pelvis is level on both sides",
    input: client({ ...BACK, conditions: [{ kind: "back-one-sided" }], findings: { levelPelvis: { left: true, right: true } } }),
    closed: "H30",
    offered: "H11",
  },
  {
    name: "thirty weeks pregnant: partial, wide, banded, good morning; nothing flat, face down or landing",
    input: client({ ...BACK, body: { ...BODY, bellyKg: 8 }, conditions: [{ kind: "pregnancy", dueDay: "2027-02-05" }] }),
    closed: "B01 B03 B15 B08 B16 H10 H13 H23 S35 P05 P12 M08 M09 E07 H24 T01 T10",
    offered: "A06 A07 A08 A10 A11 A15 B09 B10 H16 P06 T08",
  },
  {
    name: "thinning bone: nothing that bends or turns the spine under load",
    input: client({ ...HIP, conditions: [{ kind: "bone-thinning" }] }),
    closed: "T09 T10 H17 P01 P10 T07 E07 H24",
    offered: "S02 H01 B01 T08 P05",
  },
  {
    name: "a risk of falling: supported ways, nothing backwards or far out",
    input: client({ ...KNEE, conditions: [{ kind: "falls" }] }),
    closed: "S26 S29 S31 S33 L07 L08 L24 K07 H11 E02",
    offered: "S06 S34 L03 L32 E01 A10",
    by: "falls-rows",
  },
  {
    name: "a sore shoulder and a weak grip",
    input: client({ ...KNEE, conditions: [{ kind: "shoulder-limit" }, { kind: "grip-limit" }] }),
    closed: "S11 S13 S17 S24 L19 P08 P09 P13 T03 T07",
    offered: "S02 S09 S10 P05 B01",
  },
  {
    name: "at home with a chair and a counter",
    input: client({
      ...KNEE,
      equipment: [{ kind: "chair", heightM: 0.45 }, { kind: "counter" }, { kind: "cushion", thicknessM: 0.05, count: 4 }],
    }),
    closed: "S10 S13 S17 S35 B08 H18 P06",
    offered: "S02 S06 S34 S08 C02 K02",
  },
];
