"use client";
import { useRef, useState } from "react";
import { type Archive, archiveFrom, type ClientArchive, type DetailsOf, type FactProblem, type ImportPreview } from "../../formats/archive";
import { archiveProblemText, leftOutText } from "../../words/studio/archive";
import { refusalText } from "../../words/studio/refusal";

/** One client of the file, and what became of it or would. */
export interface ImportLine {
  client: ClientArchive;
  preview: ImportPreview | null;
  problem: string | null;
  isWanted: boolean;
  detailsOf: DetailsOf;
  isDone: boolean;
}
export interface ImportState {
  step: "idle" | "reading" | "preview" | "importing" | "done";
  lines: readonly ImportLine[];
  problem: string | null;
  /** So many of them are through. */
  through: number;
}
const IDLE: ImportState = { step: "idle", lines: [], problem: null, through: 0 };

type Answer = { ok: true; preview?: ImportPreview; leftOut?: readonly FactProblem[] } | { ok: false; refusal: { code: string } } | null;
async function post(query: string, body: object, signal: AbortSignal): Promise<Answer> {
  const headers = { "content-type": "application/json" };
  const response = await fetch(`/api/import${query}`, { method: "POST", headers, body: JSON.stringify(body), signal }).catch(() => null);
  const answer = (await response?.json().catch(() => null)) as Answer;
  return answer && ("ok" in answer || "refusal" in answer)
    ? "ok" in answer
      ? answer
      : { ok: false, ...(answer as { refusal: { code: string } }) }
    : null;
}
const problemOf = (answer: Answer): string | null =>
  answer === null ? "The studio does not answer, or this client is larger than it takes." : answer.ok ? null : refusalText(answer.refusal);

/** Reads an archive, says of each client what would become of it, and takes those that are wanted in, one after the other; each whole, and to be stopped between two. */
export function useImport(isLead: boolean) {
  const [state, setState] = useState<ImportState>(IDLE);
  const studio = useRef<Archive["studio"]>(null);
  const stop = useRef<AbortController | null>(null);

  async function each(
    lines: readonly ImportLine[],
    step: "reading" | "importing",
    work: (line: ImportLine, signal: AbortSignal) => Promise<ImportLine>,
  ): Promise<ImportLine[] | null> {
    const control = (stop.current = new AbortController());
    const next: ImportLine[] = [...lines];
    for (const [i, line] of lines.entries()) {
      setState({ step, lines: [...next], problem: null, through: i });
      next[i] = await work(line, control.signal);
      if (control.signal.aborted) return null;
    }
    return next;
  }
  async function read(file: File | undefined): Promise<void> {
    if (!file) return;
    const found = archiveFrom(await file.text());
    if (!found.ok) {
      setState({ ...IDLE, problem: archiveProblemText(found.problem) });
      return;
    }
    studio.current = found.archive.studio;
    const lines = found.archive.clients.map((client): ImportLine => ({
      client,
      preview: null,
      problem: null,
      isWanted: true,
      detailsOf: "here",
      isDone: false,
    }));
    const looked = await each(lines, "reading", async (line, signal) => {
      const answer = await post("?preview=1", { client: line.client }, signal);
      const preview = answer?.ok ? (answer.preview ?? null) : null;
      return { ...line, preview, problem: problemOf(answer), isWanted: preview !== null && preview.state !== "same" && !preview.namesake };
    });
    setState(looked ? { step: "preview", lines: looked, problem: null, through: looked.length } : IDLE);
  }
  async function take(): Promise<void> {
    const wanted = state.lines.filter(({ isWanted, problem }) => isWanted && problem === null);
    const { signal } = (stop.current = new AbortController());
    let said: string | null = null;
    if (studio.current && !isLead) said = "What the studio itself has is its lead's to take in: clients alone were taken.";
    else if (studio.current) {
      const answer = await post("", { studio: studio.current.tables }, signal);
      if (!answer?.ok) {
        setState({ ...state, problem: problemOf(answer) });
        return;
      }
      if (answer.leftOut && answer.leftOut.length > 0) said = `Of the studio's own ${leftOutText(answer.leftOut)}.`;
    }
    const taken: ImportLine[] = [];
    const all = await each(wanted, "importing", async (line, control) => {
      const answer = await post(`?details=${line.detailsOf}`, { client: line.client }, control);
      const done = { ...line, problem: problemOf(answer), isDone: answer?.ok === true };
      taken.push(done);
      return done;
    });
    setState({
      step: "done",
      lines: all ?? taken,
      problem: all ? said : "Stopped. Those named here are in, the others are not.",
      through: taken.length,
    });
  }
  return {
    state,
    read,
    take,
    stop: () => stop.current?.abort(),
    leave: () => setState(IDLE),
    change: (id: string, more: Partial<Pick<ImportLine, "isWanted" | "detailsOf">>) =>
      setState((now) => ({ ...now, lines: now.lines.map((line) => (line.client.id === id ? { ...line, ...more } : line)) })),
  };
}
