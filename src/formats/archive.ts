/**
 * One client, or the whole studio, as JSON: every fact as the studio keeps it, so that nothing is lost on the way. Tables are
 * listed parents first; a fact is known by its id wherever it is read. Described in docs/formats.md and by archiveSchema.
 */
export const ARCHIVE_FORMAT = "ponderis";
export const ARCHIVE_VERSION = 2;

export type Fact = Readonly<Record<string, unknown>>;
export type Tables = Readonly<Record<string, readonly Fact[]>>;
export interface ClientArchive {
  id: string;
  name: string;
  tables: Tables;
}
export interface Archive {
  format: typeof ARCHIVE_FORMAT;
  version: number;
  /** ISO, UTC. */
  madeAt: string;
  studio: { name: string; timeZone: string; tables: Tables } | null;
  clients: readonly ClientArchive[];
}

/** A client's tables, parents first: what is read in refers only to what was read before. */
export const CLIENT_TABLES = [
  "client",
  "client_revision",
  "screen",
  "finding",
  "school_choice",
  "complaint",
  "body_measure",
  "daily_height",
  "calm_pose",
  "posture_rule",
  "client_limit",
  "limit_lift",
  "ceiling",
  "ceiling_confirmation",
  "rung",
  "demand",
  "prescription",
  "training_session",
  "session_item",
  "floor_event",
  "performed_set",
  "response",
  "decision",
  "clearance",
  "kit_list",
  "training_plan",
  "visit",
  "letter",
  "session_picture",
  "home_entry",
  "home_look",
  "client_contact",
  "message",
  "client_note",
  "summary_letter",
] as const;
export type ClientTable = (typeof CLIENT_TABLES)[number];
export const STUDIO_TABLES = ["band", "cushion", "kit_list", "message_words", "own_row"] as const;

/** What would become of a client's archive here. */
export interface ImportPreview {
  id: string;
  name: string;
  /** Nobody of that id here yet; nothing new; or so many facts more. */
  state: "new" | "same" | "more";
  newFacts: number;
  /** Facts of the same id that say something else here: what stands here stays. */
  otherwise: number;
  /** Somebody else here has that name. */
  namesake: boolean;
  /** The latest name, goal and details differ: a person decides which hold. */
  detailsDiffer: boolean;
  /** What none of our forms could have written, and nothing stands on: left out, and said. */
  leftOut: readonly FactProblem[];
}
/** A fact that none of our forms could have written: of which table, and what of it cannot be. */
export interface FactProblem {
  table: string;
  id: string;
  path: string;
  code: string;
}
/** Whose details hold where they differ. */
export type DetailsOf = "here" | "file";

export type ArchiveProblem =
  | { code: "not-json" }
  | { code: "not-ours" }
  | { code: "newer"; version: number }
  | { code: "broken"; where: string };

/** Version 1 had no place of a session and no text that was agreed to: a session was in the studio. */
const fromVersion1 = (archive: Archive): Archive => ({
  ...archive,
  version: 2,
  clients: archive.clients.map((client) => ({
    ...client,
    tables: { ...client.tables, training_session: (client.tables["training_session"] ?? []).map((fact) => ({ place: "studio", ...fact })) },
  })),
});

const isTables = (value: unknown): value is Tables =>
  typeof value === "object" &&
  value !== null &&
  Object.values(value).every((facts) => Array.isArray(facts) && facts.every((fact) => typeof fact === "object" && fact !== null));

/** An archive from a file's words, older versions brought up to this one; or what is wrong with it. Its facts are judged where they are kept. */
export function archiveFrom(text: string): { ok: true; archive: Archive } | { ok: false; problem: ArchiveProblem } {
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch {
    return { ok: false, problem: { code: "not-json" } };
  }
  const { format, version, clients, studio, madeAt } = (read ?? {}) as Partial<Record<keyof Archive, unknown>>;
  if (format !== ARCHIVE_FORMAT || typeof version !== "number") return { ok: false, problem: { code: "not-ours" } };
  if (version > ARCHIVE_VERSION || version < 1 || !Number.isInteger(version)) return { ok: false, problem: { code: "newer", version } };
  if (!Array.isArray(clients)) return { ok: false, problem: { code: "broken", where: "clients" } };
  const wrong = clients.findIndex(
    (client) => typeof client?.id !== "string" || typeof client.name !== "string" || !isTables(client.tables),
  );
  if (wrong >= 0) return { ok: false, problem: { code: "broken", where: `clients.${wrong}` } };
  const ids = clients.map(({ id }) => id as string);
  if (new Set(ids).size < ids.length) return { ok: false, problem: { code: "broken", where: "clients" } };
  if (studio != null && !isTables((studio as { tables?: unknown }).tables))
    return { ok: false, problem: { code: "broken", where: "studio" } };
  const archive = {
    format,
    version,
    madeAt: typeof madeAt === "string" ? madeAt : "",
    studio: (studio ?? null) as Archive["studio"],
    clients,
  } as Archive;
  return { ok: true, archive: version === 1 ? fromVersion1(archive) : archive };
}

const facts = {
  type: "array",
  items: { type: "object", properties: { id: { type: "string", format: "uuid" } }, required: ["id"] },
} as const;
const tables = (names: readonly string[]) => ({
  type: "object",
  properties: Object.fromEntries(names.map((name) => [name, facts])),
  additionalProperties: false,
});
/** JSON Schema (2020-12) of an archive; the columns of each table are in docs/formats.md. */
export const archiveSchema = {
  $schema: "https://json-schema.org/draft/2020-12/schema",
  title: "Ponderis archive",
  type: "object",
  required: ["format", "version", "madeAt", "studio", "clients"],
  additionalProperties: false,
  properties: {
    format: { const: ARCHIVE_FORMAT },
    version: { type: "integer", minimum: 1, maximum: ARCHIVE_VERSION },
    madeAt: { type: "string", format: "date-time" },
    studio: {
      type: ["object", "null"],
      required: ["name", "timeZone", "tables"],
      properties: { name: { type: "string" }, timeZone: { type: "string" }, tables: tables(STUDIO_TABLES) },
    },
    clients: {
      type: "array",
      items: {
        type: "object",
        required: ["id", "name", "tables"],
        additionalProperties: false,
        properties: { id: { type: "string", format: "uuid" }, name: { type: "string" }, tables: tables(CLIENT_TABLES) },
      },
    },
  },
} as const;
