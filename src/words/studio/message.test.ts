import { describe, expect, test } from "vitest";
import { CHANNELS, LINK, MESSAGE_TEMPLATES, messageProblem, MOST_WORDS } from "../../core/studio/message";
import { avoidedWords } from "../../core/session/sheet";
import { CONSENT_TEXT, clientSignText, SHARED, signAdvice } from "../client/client";
import { reminderWords, templateWords } from "./message";
import { WARNING_SIGNS } from "../../core/limits/clinician";

describe("messages", () => {
  const said = { firstName: "Runa", trainerName: "Tove Lind", visit: "Tuesday 1 December at 09:00" };
  test("every template goes out as it is, by every way, with or without a next visit", () => {
    for (const template of MESSAGE_TEMPLATES)
      for (const channel of CHANNELS)
        for (const visit of [said.visit, null])
          expect(messageProblem(templateWords(template, { ...said, visit }), channel, template)).toBeNull();
    expect(messageProblem(reminderWords("Runa Skov", "Studio above the chandlery", {}), "text", "reminder")).toBeNull();
  });
  test("a studio's own words stand in for the usual ones, filled in for each client", () => {
    const own = { reminder: "Morning {name}, greetings from {trainer}", visit: "{name}, see you {visit}" };
    expect(reminderWords("Runa Skov", "Studio above the chandlery", own)).toBe("Morning Runa, greetings from Studio above the chandlery");
    expect(templateWords("visit", said, own)).toBe("Runa, see you Tuesday 1 December at 09:00");
    expect(templateWords("visit", { ...said, visit: null }, own)).toContain("no next visit yet");
    expect(templateWords("reminder", said, { reminder: "" })).toContain("Your exercises for today");
  });
  test("what judges, promises, is too long, empty or lacks its link does not", () => {
    expect(messageProblem("Do not do that, it is a bad exercise", "mail", "free")).toMatchObject({ code: "avoided" });
    expect(messageProblem("x".repeat(MOST_WORDS.text + 1), "text", "free")).toEqual({ code: "too-long", most: MOST_WORDS.text });
    expect(messageProblem("x".repeat(MOST_WORDS.text + 1), "mail", "free")).toBeNull();
    expect(messageProblem("  ", "mail", "free")).toEqual({ code: "empty" });
    expect(messageProblem("Your page", "mail", "page-link")).toEqual({ code: "no-link" });
    expect(messageProblem(`Your page: ${LINK}`, "mail", "page-link")).toBeNull();
    expect(messageProblem(`Dear {nam}: ${LINK}`, "mail", "page-link")).toEqual({ code: "unknown-place", place: "{nam}" });
  });
});

describe("words a client reads", () => {
  test("neither judge nor promise, and every sign has words and somebody to call", () => {
    expect([...CONSENT_TEXT, ...SHARED].flatMap(avoidedWords)).toEqual([]);
    for (const sign of WARNING_SIGNS) {
      expect(clientSignText[sign]).toBeTruthy();
      expect(signAdvice([sign])).toMatch(/^Call /);
    }
    expect(signAdvice(["giving-way"])).not.toContain("emergency");
    expect(signAdvice(["giving-way", "chest-pain"])).toContain("emergency services now");
    expect(signAdvice(["bleeding-or-fluid"])).toContain("maternity team");
  });
});
