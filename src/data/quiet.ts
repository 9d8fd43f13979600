import { DriverException } from "@mikro-orm/core";

/** A line of a stack that tells a place. */
const FRAME = /^\s+at .*:\d+:\d+\)?$/;

/** What a database error says of the statement and its values is taken out: they are about people. Its kind, code and places stay. */
export function quiet(error: unknown): unknown {
  if (!(error instanceof DriverException)) return error;
  const { code } = error as { code?: string };
  error.message = `${error.name} ${code ?? ""}`.trim();
  error.stack = [error.message, ...(error.stack ?? "").split("\n").filter((line) => FRAME.test(line))].join("\n");
  for (const key of ["query", "parameters", "detail", "where", "hint", "internalQuery", "errors", "sqlMessage"])
    delete (error as unknown as Record<string, unknown>)[key];
  return error;
}
