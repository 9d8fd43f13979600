import {
  filled,
  type Filling,
  LINK,
  type MessageProblem,
  type MessageTemplate,
  type OwnWords,
  type WordedTemplate,
} from "../../core/studio/message";
import { unreachable } from "../../core/reasons";

export const templateName: Readonly<Record<MessageTemplate, string>> = {
  "page-link": "Link to their page",
  reminder: "Reminder",
  visit: "Next visit",
  free: "In your own words",
};

/** How each is worded where the studio has no words of its own. */
export const USUAL_WORDS: Readonly<Record<WordedTemplate, string>> = {
  "page-link": `Hello {name}, this is your own page with your exercises for home: ${LINK}\nIt is for you alone. You can tell me there how it went. Nobody watches it: in an emergency call the emergency services. {trainer}`,
  reminder: "Good morning {name}. Your exercises for today are on your page, and a question about this morning. Easy is right. {trainer}",
  visit:
    "Hello {name}, your next visit is {visit}. Shoes you can stand well in. If the joint is worse than usual, come all the same and tell me. {trainer}",
};
const NO_VISIT = "Hello {name}, we have no next visit yet. When would suit you? {trainer}";

/** Plain words to begin from; whoever sends may change them. */
export function templateWords(template: MessageTemplate, filling: Filling, own: OwnWords = {}): string {
  if (template === "free") return filled("Hello {name}, ", filling);
  if (template === "visit" && filling.visit === null) return filled(NO_VISIT, filling);
  return filled(own[template] || USUAL_WORDS[template], filling);
}

export function messageProblemText(problem: MessageProblem): string {
  switch (problem.code) {
    case "avoided":
      return `Not as it stands: “${problem.words.join("”, “")}” judges or promises. Say what to do instead.`;
    case "too-long":
      return `Not as it stands: at most ${problem.most} characters this way.`;
    case "no-link":
      return `Not as it stands: the link is missing. Put ${LINK} where it should stand.`;
    case "unknown-place":
      return `Not as it stands: nothing is known to put at ${problem.place}.`;
    case "empty":
      return "There is nothing in it.";
    default:
      return unreachable(problem);
  }
}

/** What a client is reminded with, by the studio. */
export const reminderWords = (clientName: string, studioName: string, own: OwnWords): string =>
  templateWords("reminder", { firstName: clientName.split(" ")[0] ?? "", trainerName: studioName, visit: null }, own);
