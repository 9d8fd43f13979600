import { fixed, template } from "../template";

/** What the body model cannot compute: the handbook's ladder and a trial dose choose, and no percentage is shown. */
export const NO_MODEL = template({
  id: "no-model",
  kind: "none",
  parameters: {},
  levers: { loadKg: fixed(0, 100, 0), setS: fixed(5, 300, 30) },
  movesBy: () => "setS",
  samples: [1],
  isEven: () => true,
  shin: "none",
  set: () => () => ({ by: "none" }),
  traits: (_, { loadKg }) => (loadKg > 0 ? ["added-weight"] : []),
  cannotSay: () => "Anything: this one is not in the model. The ladder and a light first set choose.",
});
