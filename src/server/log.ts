import pino from "pino";

/** Structured log. Ids and codes only: names, notes and measures never belong in it. */
export const log = pino({ base: null, level: process.env["LOG_LEVEL"] ?? "info" }, pino.destination(2));
