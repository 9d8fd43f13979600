import { type FurtherQuestion, GOAL_MEASURES } from "../../core/screen/further.data";
import type { ScreenAnswers, ScreenQuestion } from "../../core/screen/screen";
import type { UnitSystem } from "../../core/units";
import { dayText } from "../../words/basics/day";
import { warningText } from "../../words/client/warning";
import { roleName } from "../../words/client/limit";
import { backSignText, conditionText, medicineText, symptomText } from "../../words/client/screen";
import { goalSaid } from "./goal-edge";

const NONE = "None of these";
const listed = (parts: readonly (string | false | null)[], none = NONE): string =>
  parts.filter((part): part is string => typeof part === "string" && part !== "").join("; ") || none;

/** What was answered, in a line; null while nobody has. */
export function answeredText(answers: ScreenAnswers, question: ScreenQuestion | FurtherQuestion, units: UnitSystem): string | null {
  const { signs, conditions, activity, clearance, goals, pain, back, medicines, aids, person } = answers;
  switch (question) {
    case "signs":
      return signs ? listed([...signs.signs.map(warningText), ...signs.symptoms.map(symptomText)]) : null;
    case "conditions":
      return conditions
        ? listed(
            conditions.map(
              ({ id, side, day }) => `${conditionText(id)}${side === "both" ? "" : `, ${side}`}${day ? `, ${dayText(day)}` : ""}`,
            ),
          )
        : null;
    case "activity":
      return activity ? (activity.active ? `Yes, for ${activity.monthsActive} months` : "No") : null;
    case "clearance":
      if (!clearance) return null;
      if (clearance.kind === "not-asked") return "Nobody has been asked";
      return `${clearance.kind === "cleared" ? "Cleared" : "Advised against"} by ${clearance.by}, ${roleName[clearance.role].toLowerCase()}, ${dayText(clearance.day)}`;
    case "goals":
      return goals ? listed(goals.map((goal) => goalSaid(goal, GOAL_MEASURES[goal.task]?.unit ?? null, units))) : null;
    case "pain":
      return pain
        ? listed(
            [
              pain.worstScore !== null && `at its worst ${pain.worstScore} of 10`,
              pain.morningStiffMin !== null && `stiff ${pain.morningStiffMin} minutes in the morning`,
              pain.swells && "swells",
              pain.when,
            ],
            "Nothing said",
          )
        : null;
    case "back":
      return back ? listed(back.signs.map((sign) => backSignText[sign])) : null;
    case "medicines":
      return medicines
        ? listed([
            ...medicines.kinds.map((kind) => medicineText[kind]),
            medicines.injectionDay && `injection ${dayText(medicines.injectionDay)}`,
          ])
        : null;
    case "aids":
      return aids
        ? listed(
            [aids.brace && "brace", aids.stick && "stick or crutch", aids.helperAtHome && "somebody at home helps", aids.footwear],
            "Nothing",
          )
        : null;
    case "person":
      return person
        ? listed(
            [
              person.fear && `feared: ${person.fear}`,
              person.ownLimit && `own limit: ${person.ownLimit}`,
              person.sessionsPerWeek !== null && `${person.sessionsPerWeek} a week`,
              person.minutes !== null && `${person.minutes} minutes`,
            ],
            "Nothing said",
          )
        : null;
  }
}
