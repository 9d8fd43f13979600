"use server";
import { type OwnProblem, ownProblems } from "../core/catalogue/own";
import { refuse, type StepResult } from "../core/outcome";
import { keepOwnRow, listOwnRows } from "../data/repos/studio.repo";
import { ownRowSchema, ownRowsFileSchema } from "../schemas/own-row.schema";
import { takeStep } from "./step";

/** A row of the studio's own, new or changed: never one that the catalogue's own checks refuse. */
export async function keepOwnRowAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("own-row", stepId, ownRowSchema, input, async ({ scope }, em, row) => {
    const rows = await listOwnRows(scope, em);
    const [problem] = ownProblems(row, rows);
    if (problem) return refuse(asRefusal(row.name, problem));
    const known = rows.find(({ id }) => id === row.id);
    await keepOwnRow(scope, em, { ...row, revision: (known?.revision ?? 0) + 1 });
    return { ok: true };
  });
}

/** Rows of a file, all or none. */
export async function takeInRowsAction(input: unknown, stepId: unknown): Promise<StepResult<{ count: number }>> {
  return takeStep("own-rows", stepId, ownRowsFileSchema, input, async ({ scope }, em, { rows }) => {
    const known = await listOwnRows(scope, em);
    for (const row of rows) {
      const [problem] = ownProblems(row, [...known, ...rows]);
      if (problem) return refuse(asRefusal(row.name, problem));
    }
    for (const row of rows) await keepOwnRow(scope, em, { ...row, revision: (known.find(({ id }) => id === row.id)?.revision ?? 0) + 1 });
    return { ok: true, count: rows.length };
  });
}

const asRefusal = (name: string, ownProblem: OwnProblem) => ({ code: "own-row" as const, name, ownProblem });
