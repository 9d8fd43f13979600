import type { Day } from "../day";

/** From where a repetition was seen: what a picture shows depends on it. */
export const VIEWS = ["front", "side", "behind"] as const;
export type View = (typeof VIEWS)[number];

/** What is said of a picture of a repetition. */
export interface PictureSaid {
  id: string;
  sessionId: string;
  itemId: string;
  day: Day;
  view: View;
  words: string;
}
