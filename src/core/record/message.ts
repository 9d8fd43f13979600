import { avoidedWords } from "../session/sheet";

/** How a client is written to. */
export const CHANNELS = ["mail", "text"] as const;
export type Channel = (typeof CHANNELS)[number];
export const MESSAGE_TEMPLATES = ["page-link", "reminder", "visit", "free"] as const;
export type MessageTemplate = (typeof MESSAGE_TEMPLATES)[number];

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
export const MOST_WORDS = { mail: 2000, text: 480 } as const;

export type MessageProblem =
  { code: "avoided"; words: readonly string[] } | { code: "too-long"; most: number } | { code: "no-link" } | { code: "empty" };
/** What is wrong with a message before it goes out: words that judge or promise, too many for its way, a link that is missing. */
export function messageProblem(words: string, channel: Channel, template: MessageTemplate): MessageProblem | null {
  const avoided = avoidedWords(words);
  if (words.trim() === "") return { code: "empty" };
  if (avoided.length > 0) return { code: "avoided", words: avoided };
  if (words.length > MOST_WORDS[channel]) return { code: "too-long", most: MOST_WORDS[channel] };
  return template === "page-link" && !words.includes(LINK) ? { code: "no-link" } : null;
}
