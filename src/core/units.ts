/** Exact constants and conversions. The core is SI throughout; only the edges (schemas, ui, cli) call these. */
const KG_PER_LB = 0.45359237; // exact, international pound 1959
const M_PER_IN = 0.0254; // exact, international inch 1959

/** Gravity, m/s². The body model and its worked examples are stated with this rounded value. */
export const GRAVITY_MPS2 = 9.81;

export const kgFromLb = (massLb: number): number => massLb * KG_PER_LB;
export const lbFromKg = (massKg: number): number => massKg / KG_PER_LB;
export const mFromIn = (lengthIn: number): number => lengthIn * M_PER_IN;
export const inFromM = (lengthM: number): number => lengthM / M_PER_IN;
/** Newtons carried by a hand, told as the kilograms a hand scale would read. */
export const kgfFromN = (forceN: number): number => forceN / GRAVITY_MPS2;
export const nFromKgf = (forceKgf: number): number => forceKgf * GRAVITY_MPS2;

export const radFromDeg = (angleDeg: number): number => (angleDeg * Math.PI) / 180;
export const degFromRad = (angleRad: number): number => (angleRad * 180) / Math.PI;
export const sinDeg = (angleDeg: number): number => Math.sin(radFromDeg(angleDeg));
export const cosDeg = (angleDeg: number): number => Math.cos(radFromDeg(angleDeg));

/** What a trainer reads and types; inside all is SI. */
export type UnitSystem = "metric" | "imperial";
