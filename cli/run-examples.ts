import { bodyFromMeasure } from "../src/core/body/body";
import { contactAreaMm2, contactRatio, quadricepsArmMm } from "../src/core/mechanics/kneecap";
import {
  bodyOut,
  boundsOut,
  equalDemandOut,
  type Example,
  inverseOut,
  type Json,
  measureFrom,
  poseOf,
  type SolveInput,
  type Spec,
  sweepOut,
} from "./shorthand";
import { bandOut, bridgeOut, leverOut, pressOut } from "./shorthand-templates";

/** One example, by its function. Everything has passed `mechanicsSchema`. */
function resultOf({ fn, body: short, input }: Example): Json {
  if (fn === "tissue") {
    const knee = input["knee"] as number;
    return { arm: quadricepsArmMm(knee), k: contactRatio(knee), area: contactAreaMm2(knee) };
  }
  if (fn === "band") return bandOut(input as unknown as Parameters<typeof bandOut>[0]);
  if (fn === "lever") return leverOut(short, input as unknown as Parameters<typeof leverOut>[1]);
  const body = bodyFromMeasure(measureFrom(short ?? {}));
  switch (fn) {
    case "body":
      return bodyOut(body);
    case "evaluate":
      return poseOf(body, input as Spec);
    case "bridge":
      return bridgeOut(body, input as unknown as Parameters<typeof bridgeOut>[1]);
    case "legPress":
      return pressOut(body, input as unknown as Parameters<typeof pressOut>[1]);
    case "sweep":
      return sweepOut(body, input as unknown as Parameters<typeof sweepOut>[1]);
    case "inverse": {
      const { spec, target, ...solve } = input as unknown as { spec: Spec; target: number } & SolveInput;
      return inverseOut(body, spec, target, solve);
    }
    case "equalDemand":
      return equalDemandOut(body, input as unknown as Parameters<typeof equalDemandOut>[1]);
    default:
      return boundsOut(body, input as unknown as Parameters<typeof boundsOut>[1]);
  }
}

export const runExamples = (examples: readonly Example[]): { id: string; result: Json }[] =>
  examples.map((example) => ({ id: example.id, result: resultOf(example) }));
