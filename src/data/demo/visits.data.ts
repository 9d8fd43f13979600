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
