import { groupOf } from "../catalogue/rows/row";
import type { Dose, Variation } from "../catalogue/variation";
import type { Part } from "../dose/part";
import { positionOf, type School } from "../approach/approach";

/** What the points of a coaching approach make of a session. Source of all: common practice, no source; figures as the points say them. */
type Held = Pick<School, "positions">;
const held = (school: Held, axisId: string): string => positionOf(school, axisId)?.id ?? "";

/** Codes of drills, list by list: of each the first that is open. A limited ankle or hip puts its own first. */
export function drillsBy(school: Held, stiff: readonly ("ankle" | "hip")[]): string[][] {
  const own = [...(stiff.includes("ankle") ? [["M13", "M04"]] : []), ...(stiff.includes("hip") ? [["M03", "M05"]] : [])];
  switch (held(school, "stretching")) {
    case "every-session":
      return [["M15"], ...own];
    case "mobilise-and-strengthen":
      return [...(own.length > 0 ? own : [["M01", "M03", "M11"]]), ["H04", "H03"]];
    case "one-stretch":
      return [["M05", "M06", "M03"]];
    default:
      return own.length > 0 ? own : [["M03", "M11"]];
  }
}

/** Codes of the first work of a knee: none that bends it, rising easily, or a band and a drag. */
export function kneeWorkBy(school: Held): string[][] {
  switch (held(school, "first-knee-work")) {
    case "no-bend":
      return [["K03", "K01", "K04"]];
    case "band-and-drag":
      return [["K05"], ["K07"]];
    default:
      return [["A06", "A05", "K05"]];
  }
}

/** Whether the trunk has its place in every session. */
export const hasTrunkFirst = (school: Held): boolean => held(school, "trunk") === "core-each-session";

/** Where what wakes a muscle stands: light before the work, or to its end. */
export const activationPart = (school: Held): Part => (held(school, "activation") === "burn-at-end" ? "finish" : "activation");

/** The dose of side-hip work by the approach: thirty in three lighter sets, many and light, or what the row says. */
export function sideHipDose(school: Held, row: Variation, dose: Dose): Dose {
  if (groupOf(row) !== "side-hip" || dose.repetitionsHigh <= 1 || dose.counts) return dose;
  switch (held(school, "abduction-dose")) {
    case "many-light":
      return { ...dose, setCount: 3, repetitionsLow: 30, repetitionsHigh: 40, restS: 30 };
    case "drops":
      return { ...dose, setCount: 3, repetitionsLow: 10, repetitionsHigh: 10, restS: 0 };
    case "moderate":
      return { ...dose, setCount: 1, repetitionsLow: 16, repetitionsHigh: 20 };
    default:
      return dose;
  }
}
