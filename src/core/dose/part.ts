/** Parts of a session in the mainstream's order. Source: handbook B2. */
export const PARTS = ["warm-up", "mobility", "activation", "main", "accessory", "finish", "conditioning"] as const;
export type Part = (typeof PARTS)[number];
