/** When the demo's clients come: so many days from the day it is seeded, every week from eight weeks before. */
export const DEMO_VISITS: readonly { key: string; inDays: number; at: string; minutes: number }[] = [
  { key: "runa", inDays: 0, at: "08:00", minutes: 45 },
  { key: "maren", inDays: 0, at: "09:00", minutes: 45 },
  { key: "ines", inDays: 0, at: "10:00", minutes: 40 },
  { key: "tord", inDays: 0, at: "11:15", minutes: 45 },
  { key: "bram", inDays: 0, at: "14:00", minutes: 45 },
  { key: "thora", inDays: 0, at: "16:30", minutes: 40 },
  { key: "maren", inDays: 3, at: "09:00", minutes: 45 },
  { key: "oswin", inDays: 1, at: "09:00", minutes: 45 },
  { key: "jorun", inDays: 1, at: "10:30", minutes: 40 },
  { key: "liv", inDays: 2, at: "17:00", minutes: 45 },
  { key: "nils", inDays: 3, at: "08:30", minutes: 45 },
  { key: "edda", inDays: 4, at: "13:00", minutes: 45 },
  { key: "ansel", inDays: 4, at: "15:00", minutes: 45 },
];

/** Notes of the lead's, for whom they are. */
export const DEMO_NOTES: readonly { key: string; seenBy: "me" | "team" | "client"; words: string }[] = [
  { key: "maren", seenBy: "team", words: "The pole stands left of the box, at the second mark. She counts aloud; let her." },
  { key: "maren", seenBy: "me", words: "Ask about the tower after the harbour fair, not before." },
  { key: "ines", seenBy: "team", words: "No talk of discs: she sleeps badly after it. Choir on Thursdays, so nothing new on Wednesday." },
  {
    key: "runa",
    seenBy: "client",
    words: "The garden stool is fine for the rises now. Put the rolled towel under the knee for the straightening.",
  },
];
