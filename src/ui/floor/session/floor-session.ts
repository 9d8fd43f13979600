import type { Dose, Variation } from "../../../core/catalogue/variation";
import type { FitContext, Place } from "../../../core/judge/context";
import type { Stepped } from "../../../core/progressions/step";
import type { AddedItem, CheckInChoice, Comparison, FloorSet, MovedBy, SetEnd } from "../../../core/floor/events";
import type { FootShare, Told } from "../../../core/floor/told";
import type { WarningSign } from "../../../core/limits/clinician";
import type { Side } from "../../../core/mechanics/channels";
import type { Away } from "../../../core/progress/away";
import type { Part } from "../../../core/dose/part";
import type { FloorLog } from "./use-floor-events";
import type { Rest } from "../tempo/use-rest";
import type { Tempo } from "../tempo/use-tempo";

export interface FloorItem extends Place {
  itemId: string;
  side: Side;
  dose: Dose;
  part: Part | null;
  /** Its sets go in turn with those of the item after it. */
  inTurn: boolean;
  /** What a time away takes off was given back by the gate already. */
  isAwayGiven?: boolean;
}
export interface FloorPlan {
  sessionId: string;
  isLight: boolean;
  items: readonly FloorItem[];
}

export interface FloorSession {
  sessionId: string;
  /** Every item in the order it is done today: those planned, and those added here. */
  items: readonly FloorItem[];
  log: FloorLog;
  tempo: Tempo;
  item: FloorItem;
  pick: (itemId: string) => void;
  /** Whose set comes after this one's; null when the session is done. */
  next: FloorItem | null;
  goNext: () => void;
  context: FitContext;
  variation: Variation;
  /** The place and the dose now, after any easing. */
  place: Place;
  dose: Dose;
  /** Sets of the item in hand. */
  sets: readonly FloorSet[];
  /** What easing would do next; null where nothing easier is left. */
  easing: Stepped | null;
  /** Faults seen in the set under way, or in the last one during rest. */
  faults: readonly string[];
  /** The rest under way; null where none is waited for. */
  rest: Rest | null;
  /** Something keeps the next set from starting by itself. */
  isHeld: boolean;
  isWaiting: boolean;
  wait: () => void;
  /** The set that what is said is about: the last one, or another of today that was chosen to be put right. */
  lastSet: FloorSet | undefined;
  chooseSet: (setId: string | null) => void;
  allSetsDone: boolean;
  /** One more set than was meant, of the item in hand. */
  oneMore: () => void;
  /** The weak side of the same exercise, where it is to come before this one; null where it is not. */
  comesFirst: FloorItem | null;
  isStopped: boolean;
  /** A set that ended in a way that asks one large question. */
  asking: FloorSet | null;
  checkIn: (told: CheckedIn) => void;
  tapPain: (painScore: number) => void;
  /** Whoever reads the scales: asked once a set ends, for the share it had. One for good; null when they are put away. */
  watchFeet: (read: (() => FootShare | null) | null) => void;
  /** What is told of the last set beside its number. */
  tell: (told: Partial<Told>) => void;
  /** The pain over the number was a muscle at work, and no joint's. */
  sayMuscle: () => void;
  /** Gone on after a set that asked and hurt nothing. */
  goOnAfter: () => void;
  /** The item in hand is at another place from here on: built, changed by hand, or swapped. */
  move: (by: Exclude<MovedBy, "ease">, stepped: Stepped, reason: string) => void;
  /** The place and dose now that easing, building or a change by hand starts from. */
  rung: Place;
  add: (added: Omit<AddedItem, "itemId">) => void;
  reorder: (by: 1 | -1) => void;
  compare: (compared: Omit<Comparison, "itemId">) => void;
  /** A set done without the timer: as it was meant, its pain still to be said. */
  logSet: () => void;
  endSet: (endedBy: Exclude<SetEnd, "warning-sign">) => void;
  warn: (sign: WarningSign) => void;
  correctRepetitions: (by: 1 | -1) => void;
  sayTank: (leftInTank: number) => void;
  toggleFault: (fault: string) => void;
  ease: () => void;
  undoEase: () => void;
  stopItem: () => void;
  /** Left out today, or taken up again. */
  skip: (itemId: string) => void;
  isSkipped: boolean;
  voidLast: () => void;
  end: () => void;
  goOn: () => void;
  tellEffort: (effortScore: number) => void;
}

/** What is said before the first set. */
export interface CheckedIn {
  painScore: number;
  newSwelling: boolean;
  underRelief: boolean;
  choice: CheckInChoice;
  satLong: boolean;
  /** Why as planned, where the rule says ease. */
  reason: string;
  /** Items that the minutes have no room for. */
  leftOut: readonly string[];
  /** What a time without training takes off. */
  away: Away | null;
}
