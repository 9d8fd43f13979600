import Joi from "joi";
import { BODY_LIMITS, bodyFromMeasure } from "../src/core/body/body";
import { halfOfMass } from "../src/schemas/body.schema";
import { type Json, measureFrom } from "./shorthand";

/** The worked examples' shorthand, as input. */
const number = Joi.number();
const within = ({ min, max }: { min: number; max: number }) => Joi.number().min(min).max(max);
const point = Joi.array().items(number.required()).length(2);
const kinds = (...names: string[]) => Joi.string().valid(...names);

export const shorthandBodySchema = Joi.object({
  heightM: within(BODY_LIMITS.heightM).required(),
  massKg: within(BODY_LIMITS.massKg).required(),
  sex: kinds("M", "F").required(),
  bellyKg: within(BODY_LIMITS.bellyKg).less(halfOfMass("massKg")),
  bellyFwdM: within(BODY_LIMITS.bellyForwardM),
  thighM: within(BODY_LIMITS.thighM),
  shankM: within(BODY_LIMITS.shankM),
  trunkM: within(BODY_LIMITS.trunkM),
  table: kinds("deLeva", "winter"),
});

const armsSchema = Joi.alternatives().conditional(Joi.object({ kind: Joi.valid("point") }).unknown(), {
  then: Joi.object({ kind: Joi.any(), x: number.required(), y: number.required() }),
  otherwise: Joi.alternatives().conditional(Joi.object({ kind: Joi.valid("pole") }).unknown(), {
    then: Joi.object({ kind: Joi.any(), x: number.required(), drop: number.required() }),
    otherwise: Joi.alternatives().conditional(Joi.object({ kind: Joi.valid("hip") }).unknown(), {
      then: Joi.object({ kind: Joi.any(), dx: number.required(), dy: number.required() }),
      otherwise: Joi.object({ kind: kinds("hang", "forward", "overhead", "crossed", "goblet").required(), dx: number }),
    }),
  }),
});

const assistSchema = Joi.object({
  at: kinds("hands", "wall", "chest", "pelvis").required(),
  fx: number,
  fy: number,
  mag: number,
  dirDeg: number,
  anchor: point,
});

const of = (kind: string) => Joi.object({ kind: Joi.valid(kind) }).unknown();
const trailSchema = Joi.alternatives()
  .conditional(of("ground"), {
    then: Joi.object({ kind: Joi.any(), back: number.required(), heel: number.required(), level: number, cop: number.min(0).max(1) }),
  })
  .conditional(of("reach"), {
    then: Joi.object({ kind: Joi.any(), level: number.required(), heel: number.required(), knee: number, dir: Joi.valid(-1, 1) }),
  })
  .conditional(of("free"), {
    then: Joi.object({ kind: Joi.any(), thigh: Joi.alternatives(number, kinds("inline")).required(), knee: number.required() }),
    otherwise: Joi.alternatives(kinds("same"), Joi.object({ kind: kinds("same", "ground", "reach", "free").required() })),
  });

export const standingSpecSchema = Joi.object({
  knee: number,
  hipHeight: number,
  seat: number,
  step: Joi.object({ height: number.required(), trailLean: number, trailHeel: number }),
  shank: Joi.object({
    mode: kinds("natural", "overToes", "midfoot", "vertical", "fixed").required(),
    deg: number.when("mode", { is: "fixed", then: Joi.required() }),
  }),
  dorsiMax: number,
  hipMax: number,
  mu: number.min(0),
  wedge: number,
  heelRaise: number,
  cop: number.min(0).max(1),
  balance: Joi.object({
    mode: kinds("trunk", "shank", "assist", "cop", "share").required(),
    trunk: number.when("mode", { not: "trunk", then: Joi.required() }),
  }),
  arms: armsSchema,
  loads: Joi.array().items(Joi.object({ kg: number.min(0).max(400).required(), at: kinds("hands", "back", "vest", "hips").required() })),
  assists: Joi.array().items(assistSchema),
  share: number.min(0).max(1),
  trail: trailSchema,
  brace: Joi.alternatives(kinds("vertical", "least"), number, Joi.object({ frac: number.required() })),
}).or("knee", "hipHeight", "seat", "step");

/** The swept key may be new, but everything above it must be in the spec. */
const hasParent = (specKey: string) => (input: Record<string, unknown>, helpers: Joi.CustomHelpers) => {
  const keys = String(input["path"]).split(".").slice(0, -1);
  const parent = keys.reduce<unknown>((node, key) => (node as Record<string, unknown> | undefined)?.[key], input[specKey]);
  return typeof parent === "object" && parent !== null ? input : helpers.error("path.parent");
};

const solveKeys = { path: Joi.string().required(), channel: Joi.string().required(), lo: number.required(), hi: number.required() };

const LEVER_NAMES = "straightLegRaise sideLyingAbduction seatedAbduction tke calfRaise kneeExtension frontalHip inertia strapLean".split(
  " ",
);

const inputs = {
  body: Joi.object({}),
  tissue: Joi.object({ knee: number.required() }),
  evaluate: standingSpecSchema,
  sweep: Joi.object({
    spec: standingSpecSchema.required(),
    path: Joi.string().required(),
    from: number.required(),
    to: number.required(),
    n: number.integer().min(2).max(10_001),
  }).custom(hasParent("spec")),
  inverse: Joi.object({ spec: standingSpecSchema.required(), ...solveKeys, target: number.required() }).custom(hasParent("spec")),
  equalDemand: Joi.object({ specA: standingSpecSchema.required(), specB: standingSpecSchema.required(), ...solveKeys }).custom(
    hasParent("specB"),
  ),
  assistBounds: Joi.object({ spec: standingSpecSchema.required(), assists: Joi.array().items(assistSchema).required() }),
  bridge: Joi.object({
    hipFlex: number.required(),
    kneeTop: number,
    sep: number.greater(0),
    bench: number,
    cop: number.min(0).max(1),
    share: number.min(0).max(1),
    shear: Joi.alternatives(kinds("zero", "least"), number),
    loads: Joi.array().items(Joi.object({ kg: number.min(0).max(400).required(), at: kinds("hips", "vest", "back").required() })),
    trail: trailSchema,
    arms: Joi.any(),
  }).or("kneeTop", "sep"),
  legPress: Joi.object({
    knee: number.min(0).max(170).required(),
    sledN: number.min(0).required(),
    inclineDeg: number.required(),
    offset: number,
    cop: number.min(0).max(1),
    legs: Joi.valid(1, 2),
    share: number.min(0).max(1),
    trunkDeg: number,
  }),
  lever: Joi.object({
    name: kinds(...LEVER_NAMES).required(),
    args: Joi.array().items(number, kinds("opposite", "same")).required(),
    noBody: Joi.boolean(),
  }),
  band: Joi.object({
    table: Joi.object({
      restM: number.greater(0).required(),
      points: Joi.array()
        .items(Joi.array().ordered(number.greater(0).required(), number.min(0).required()).length(2))
        .min(1)
        .required(),
    }).required(),
    len: number.min(0).required(),
  }),
};
const bodiless = ["tissue", "band"];

interface WithSteps {
  body?: Json;
  input: Record<string, { height?: number } | { step?: { height: number } } | undefined>;
}
/** A step taller than the shank is a slip of the pen: nobody's foot gets up there from standing. */
function noTallStep(example: WithSteps, helpers: Joi.CustomHelpers) {
  const { body, input } = example;
  if (!body || !(Number(body["heightM"]) > 0)) return example;
  const { shankM } = bodyFromMeasure(measureFrom(body));
  for (const key of ["spec", "specA", "specB", null]) {
    const spec = (key === null ? input : input[key]) as { step?: { height: number } } | undefined;
    const path = [...(helpers.state.path ?? []), "input", ...(key === null ? [] : [key]), "step", "height"];
    if (spec?.step && spec.step.height > shankM) return helpers.error("number.max", { limit: shankM }, helpers.state.localize?.(path));
  }
  return example;
}

const exampleSchema = Joi.object({
  id: Joi.string().required(),
  fn: kinds(...Object.keys(inputs)).required(),
  body: shorthandBodySchema.when("fn", {
    is: kinds(...bodiless),
    otherwise: Joi.when("input.name", { is: "inertia", otherwise: Joi.required() }),
  }),
  input: Joi.when("fn", {
    switch: Object.entries(inputs).map(([fn, schema]) => ({ is: fn, then: schema.required() })),
  }),
})
  .custom(noTallStep)
  .unknown(); // an example's `expect` and notes may come along

export const mechanicsSchema = Joi.array().items(exampleSchema).required();
