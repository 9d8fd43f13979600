import type { SessionAsked } from "./build";

/** What tests ask of a session unless they say otherwise. */
export const ASKED: SessionAsked = {
  minutes: 60,
  purpose: "first-strength",
  skeletonId: null,
  weak: { kind: "knee" },
  weakSide: "right",
  planned: [],
  sessionNumber: 0,
};
