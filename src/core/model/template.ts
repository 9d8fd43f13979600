import { nFromKgf } from "../units";
import type { ModelResult, Who } from "./model-pose";

/** One thing that can be set on the model page. Values are SI; angles in degrees. */
export interface ModelLever {
  id: string;
  name: string;
  kind: "length" | "angle" | "mass" | "force" | "share" | "time";
  min: number;
  max: number;
  start: number;
  step: number;
}
type LeverRow = Omit<ModelLever, "id">;
export type ModelGroup = "Catalogue" | "Squat" | "Split and single leg" | "Step" | "Hinge" | "Bridge and thrust" | "Helpers";

export interface ModelTemplate {
  id: string;
  group: ModelGroup;
  name: string;
  levers: readonly ModelLever[];
  /** The lever that the movement runs along, and from where to where. */
  movement: { lever: string; from: number; to: number };
  pose: (who: Who, values: Readonly<Record<string, number>>) => ModelResult;
  /** What says how the shin leans: the client's posture rule, a lever here, balance under a kept trunk, or nothing. */
  shin: "rule" | "lever" | "balance" | "none";
  /** Hangs in a band: the one in hand decides. */
  needsBand?: true;
  cannotSay: string;
}

interface Row<K extends string> {
  id: string;
  group: ModelGroup;
  name: string;
  levers: Record<K, LeverRow>;
  movement: { lever: NoInfer<K>; from: number; to: number };
  pose: (who: Who, v: Readonly<Record<NoInfer<K>, number>>) => ModelResult;
  shin: ModelTemplate["shin"];
  needsBand?: true;
  cannotSay: string;
}

/** A template whose pose can only ask for levers it has. */
export function template<K extends string>({ levers, pose, ...row }: Row<K>): ModelTemplate {
  const ids = Object.keys(levers) as K[];
  return {
    ...row,
    levers: ids.map((id) => ({ id, ...levers[id] })),
    pose: (who, values) => pose(who, Object.fromEntries(ids.map((id) => [id, values[id] ?? levers[id].start])) as Record<K, number>),
  };
}

export const startValues = ({ levers }: ModelTemplate): Record<string, number> =>
  Object.fromEntries(levers.map(({ id, start }) => [id, start]));

const lever =
  (kind: ModelLever["kind"], step: number) =>
  (name: string, min: number, max: number, start: number): LeverRow => ({
    name,
    kind,
    min,
    max,
    start,
    step,
  });
export const angle = lever("angle", 1);
export const length = lever("length", 0.01);
export const mass = lever("mass", 1);
/** Ends and start as the kilograms a hand scale reads. */
export const force = (name: string, minKgf: number, maxKgf: number, startKgf: number): LeverRow =>
  lever("force", nFromKgf(1))(name, nFromKgf(minKgf), nFromKgf(maxKgf), nFromKgf(startKgf));
export const share = lever("share", 0.05);
export const time = lever("time", 5);
