import { avoidedWords } from "../session/sheet";

/** How a client is written to. */
export const CHANNELS = ["mail", "text"] as const;
export type Channel = (typeof CHANNELS)[number];
export const MESSAGE_TEMPLATES = ["page-link", "reminder", "visit", "free"] as const;
export type MessageTemplate = (typeof MESSAGE_TEMPLATES)[number];

/** Templates that a studio may word in its own way. */
export const WORDED_TEMPLATES = ["page-link", "reminder", "visit"] as const satisfies readonly MessageTemplate[];
export type WordedTemplate = (typeof WORDED_TEMPLATES)[number];
export type OwnWords = Readonly<Partial<Record<WordedTemplate, string>>>;

export interface Contact {
  channel: Channel;
  address: string;
  /** The hour of the studio's day at which a day with exercises is reminded of; null: not. */
  remindAt: string | null;
}
export interface Message {
  id: string;
  clientId: string;
  channel: Channel;
  address: string;
  template: MessageTemplate;
  words: string;
  at: string;
  sentAt: string | null;
}

/** Where the private link goes in a message's words. It stands in what is sent and never in what is kept. */
export const LINK = "{link}";
/** What a template is filled with: the client's first name, who writes, and when they come next. */
export interface Filling {
  firstName: string;
  trainerName: string;
  visit: string | null;
}
export const PLACES = { firstName: "{name}", trainerName: "{trainer}", visit: "{visit}" } as const satisfies Record<keyof Filling, string>;
/** What may stand in each. */
export const placesOf = (template: WordedTemplate): string[] => [
  PLACES.firstName,
  PLACES.trainerName,
  ...(template === "visit" ? [PLACES.visit] : []),
  ...(template === "page-link" ? [LINK] : []),
];
/** A template's words for one client: what is not known stays a place. Their link is filled in as the message goes out. */
export const filled = (words: string, filling: Filling): string =>
  (Object.entries(PLACES) as [keyof Filling, string][]).reduce(
    (text, [key, place]) => text.replaceAll(place, filling[key] ?? place),
    words,
  );

export const MOST_WORDS = { mail: 2000, text: 480 } as const;

export type MessageProblem =
  | { code: "avoided"; words: readonly string[] }
  | { code: "too-long"; most: number }
  | { code: "no-link" }
  | { code: "empty" }
  | { code: "unknown-place"; place: string };
/** What is wrong with a message before it goes out: words that judge or promise, too many for its way, a place nothing fills, a link that is missing. */
export function messageProblem(words: string, channel: Channel, template: MessageTemplate): MessageProblem | null {
  const avoided = avoidedWords(words);
  if (words.trim() === "") return { code: "empty" };
  if (avoided.length > 0) return { code: "avoided", words: avoided };
  if (words.length > MOST_WORDS[channel]) return { code: "too-long", most: MOST_WORDS[channel] };
  const [place] = words.replaceAll(LINK, "").match(/\{[^{}]*\}/) ?? [];
  if (place !== undefined) return { code: "unknown-place", place };
  return template === "page-link" && !words.includes(LINK) ? { code: "no-link" } : null;
}
/** The same of a studio's own words for a template, tried where nobody is named; no words at all are as usual. */
export const wordingProblem = (template: WordedTemplate, words: string): MessageProblem | null =>
  words === ""
    ? null
    : messageProblem(filled(words, { firstName: "", trainerName: "", visit: template === "visit" ? "" : null }), "text", template);
