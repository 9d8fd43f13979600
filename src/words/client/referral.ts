import { variationById } from "../../core/catalogue/catalogue";
import type { RedFlag } from "../../core/floor/referral";
import { UNTOLD } from "../../core/floor/told";
import type { UnitSystem } from "../../core/units";
import { warningText } from "./warning";
import { END_NAMES, toldText } from "../training/floor";
import { clockTimeText, dayAt, dayText } from "../basics/day";
import { settingText } from "../basics/lever";

const DONE: Readonly<Record<RedFlag["done"], string>> = {
  "session-ended": "The session was ended.",
  "exercise-stopped": "The exercise was stopped for the day.",
  eased: "It was made easier for the next set.",
  "still-open": "Training stands still at the time of this note.",
};

/** A dated note to a clinician: who, when, which exercise in which set-up, what came, and what was done. No diagnosis. */
export function referralText(
  flags: readonly RedFlag[],
  { name, ageYears, timeZone }: { name: string; ageYears: number; timeZone: string },
  units: UnitSystem,
): string {
  const first = flags.find(({ at }) => at !== "");
  const lines = flags.map(({ at, place, setNumber, signs, endedBy, painScore, told, done }) => {
    const time = at === "" ? "" : `${clockTimeText(at, timeZone)}: `;
    const what = place
      ? `${variationById(place.variationId).name}, ${settingText(place.setting, units) || "own weight"}, set ${setNumber}`
      : "no exercise under way";
    const came = [
      ...(endedBy && endedBy !== "warning-sign" ? [END_NAMES[endedBy].toLowerCase()] : []),
      ...signs.map((sign) => warningText(sign).toLowerCase()),
      ...(painScore === null ? [] : [`pain ${painScore} of 10`]),
      ...(told ? [toldText({ ...UNTOLD, ...told })].filter(Boolean) : []),
    ];
    return `${time}${what}. Told: ${[...new Set(came)].join("; ") || "a warning sign"}. ${DONE[done]}`;
  });
  return [
    `Note for the treating clinician${first ? `, ${dayText(dayAt(first.at, timeZone))}` : ""}`,
    `${name}, ${ageYears} years`,
    "",
    ...lines,
    "",
    "This is what was seen and said in training, no diagnosis. Planning stops until a clinician has cleared what is named here.",
  ].join("\n");
}
