import { LINK, type MessageProblem, type MessageTemplate } from "../../core/record/message";
import { unreachable } from "../../core/reasons";

export const templateName: Readonly<Record<MessageTemplate, string>> = {
  "page-link": "Link to their page",
  reminder: "Reminder",
  visit: "Next visit",
  free: "In your own words",
};

/** Plain words to begin from; whoever sends may change them. */
export function templateWords(
  template: MessageTemplate,
  { firstName, trainerName, visit }: { firstName: string; trainerName: string; visit: string | null },
): string {
  switch (template) {
    case "page-link":
      return `Hello ${firstName}, this is your own page with your exercises for home: ${LINK}\nIt is for you alone. You can tell me there how it went. Nobody watches it: in an emergency call the emergency services. ${trainerName}`;
    case "reminder":
      return `Good morning ${firstName}. Your exercises for today are on your page, and a question about this morning. Easy is right. ${trainerName}`;
    case "visit":
      return visit
        ? `Hello ${firstName}, your next visit is ${visit}. Shoes you can stand well in. If the joint is worse than usual, come all the same and tell me. ${trainerName}`
        : `Hello ${firstName}, we have no next visit yet. When would suit you? ${trainerName}`;
    case "free":
      return `Hello ${firstName}, `;
    default:
      return unreachable(template);
  }
}

export function messageProblemText(problem: MessageProblem): string {
  switch (problem.code) {
    case "avoided":
      return `Not sent: “${problem.words.join("”, “")}” judges or promises. Say what to do instead.`;
    case "too-long":
      return `Not sent: at most ${problem.most} characters this way.`;
    case "no-link":
      return `Not sent: the link is missing. Put ${LINK} where it should stand.`;
    case "empty":
      return "Not sent: there is nothing in it.";
    default:
      return unreachable(problem);
  }
}

/** What a client is reminded with, by the studio. */
export const reminderWords = (clientName: string, studioName: string): string =>
  templateWords("reminder", { firstName: clientName.split(" ")[0] ?? "", trainerName: studioName, visit: null });
