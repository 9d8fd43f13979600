import { GRAVITY_MPS2 } from "../units";

/** Mean peak contact force in per cent of body weight, in instrumented joints of very few people: ranks tasks, doses nobody. */
export const JOINT_CONTACT_PERCENT = {
  /** Source: Kutzner 2010, five people. */
  knee: {
    "stair-descending": 346,
    "stair-ascending": 316,
    "level-walking": 261,
    "one-legged-stance": 259,
    "knee-bend": 253,
    "standing-up": 246,
    "sitting-down": 225,
    "two-legged-stance": 107,
  },
  /** Source: Bergmann 2001, four people. */
  hip: {
    "slow-walk": 242,
    "normal-walk": 238,
    "fast-walk": 250,
    "stairs-up": 251,
    "stairs-down": 260,
    "standing-up": 190,
    "sitting-down": 156,
    "stand-2-1-2-legs": 231,
    "knee-bend": 143,
  },
} as const satisfies Record<string, Record<string, number>>;

export const jointContact = (percentBodyWeight: number, massKg: number): { forceN: number; percentBodyWeight: number } => ({
  forceN: (percentBodyWeight / 100) * massKg * GRAVITY_MPS2,
  percentBodyWeight,
});
