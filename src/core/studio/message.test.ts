import { describe, expect, test } from "vitest";
import { filled, LINK, messageProblem, MOST_WORDS, PLACES, placesOf, wordingProblem } from "./message";

describe("a message", () => {
  test("goes out where it says something, judges nobody, fits its way and fills every place", () => {
    expect(messageProblem("See you on Tuesday.", "text", "free")).toBeNull();
    expect(messageProblem(" \n", "mail", "free")).toEqual({ code: "empty" });
    expect(messageProblem("That is a bad exercise.", "mail", "free")).toMatchObject({ code: "avoided", words: ["bad exercise"] });
    for (const channel of ["mail", "text"] as const) {
      expect(messageProblem("x".repeat(MOST_WORDS[channel]), channel, "free")).toBeNull();
      expect(messageProblem("x".repeat(MOST_WORDS[channel] + 1), channel, "free")).toEqual({ code: "too-long", most: MOST_WORDS[channel] });
    }
    expect(MOST_WORDS.text).toBeLessThan(MOST_WORDS.mail);
    expect(messageProblem("Dear {nam}", "mail", "free")).toEqual({ code: "unknown-place", place: "{nam}" });
    expect(messageProblem("a { b } c", "mail", "free")).toEqual({ code: "unknown-place", place: "{ b }" });
  });
  test("that sends the link has it, and no other has to", () => {
    expect(messageProblem("Your page", "mail", "page-link")).toEqual({ code: "no-link" });
    expect(messageProblem(`Your page ${LINK}`, "mail", "page-link")).toBeNull();
    expect(messageProblem(`Here once more ${LINK}`, "mail", "reminder")).toBeNull();
  });
  test("is filled in for one client; what is not known stays a place", () => {
    const words = "{name}, {visit}, {name}: {trainer}";
    expect(filled(words, { firstName: "Runa", trainerName: "Tove", visit: "Monday" })).toBe("Runa, Monday, Runa: Tove");
    expect(filled(words, { firstName: "Runa", trainerName: "Tove", visit: null })).toBe("Runa, {visit}, Runa: Tove");
  });
});

describe("a studio's own words", () => {
  test("may have the places of their template, and no others", () => {
    expect(placesOf("reminder")).toEqual([PLACES.firstName, PLACES.trainerName]);
    expect(placesOf("visit")).toEqual([PLACES.firstName, PLACES.trainerName, PLACES.visit]);
    expect(placesOf("page-link")).toEqual([PLACES.firstName, PLACES.trainerName, LINK]);
    for (const template of ["reminder", "visit", "page-link"] as const)
      expect(wordingProblem(template, `Good morning ${placesOf(template).join(" ")}`)).toBeNull();
    expect(wordingProblem("reminder", "See you {visit}")).toEqual({ code: "unknown-place", place: "{visit}" });
  });
  test("are as usual where there are none, have the link where it is sent, and are short enough for a text", () => {
    expect(wordingProblem("page-link", "")).toBeNull();
    expect(wordingProblem("page-link", "Good morning {name}")).toEqual({ code: "no-link" });
    expect(wordingProblem("reminder", "x".repeat(MOST_WORDS.text + 1))).toMatchObject({ code: "too-long" });
    expect(wordingProblem("reminder", "{name} {trainer}")).toEqual({ code: "empty" }); // nothing stands between the places
  });
});
