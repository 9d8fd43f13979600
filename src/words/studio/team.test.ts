import { readdirSync, readFileSync } from "node:fs";
import { expect, test } from "vitest";
import { asReadIn } from "../../core/record/facts/read-in";
import { auditText, byText, makerText } from "./team";

test("who made something is a member, or whoever read it in and whose it is said to be", () => {
  const names = { tove: "Tove Lind", peer: "Peer Aske" };
  expect(makerText("peer", names)).toBe("Peer Aske");
  expect(makerText("nobody", names)).toBe("somebody");
  const readIn = asReadIn("tove", "2026-12-01", "peer");
  expect(makerText(readIn, names)).toBe("read in by Tove Lind on 1 Dec, said to be by Peer Aske");
  expect(makerText(asReadIn("tove", "2026-12-01", "elsewhere"), names)).toContain("said to be by somebody elsewhere");
  expect([byText("peer", names), byText(readIn, names)]).toEqual(["by Peer Aske", makerText(readIn, names)]);
});

test("what happens at the door and to the team is said in words, and of a client whose it was", () => {
  const of = (verb: string, tableName = "studio_member", clientName: string | null = null) => auditText({ verb, tableName, clientName });
  expect(of("signed-in")).toBe("signed in");
  expect(of("made-gone")).toBe("took somebody out of the team");
  expect(of("read", "client", "Runa Skov")).toBe("read Runa Skov");
  expect(of("made", "page_link")).toBe("made a link to a client’s page");
  expect(of("revised", "client", "Runa Skov")).toBe("changed the details of Runa Skov");
  expect(of("read", "client")).toBe("read a client");
  expect(of("made-lead", "client")).not.toContain("somebody");
});

test("whatever the studio writes down of a thing has words of its own", () => {
  const folders = ["steps", "data/repos"].map((name) => new URL(`../../${name}/`, import.meta.url));
  const sources = folders.flatMap((folder) => readdirSync(folder).map((name) => readFileSync(new URL(name, folder), "utf8")));
  const written = sources.flatMap((text) =>
    [...text.matchAll(/audit\(scope, em, "([a-z-]+)", "([a-z_]+)"/g)].map(([, verb = "", tableName = ""]) => ({ verb, tableName })),
  );
  expect(written.length).toBeGreaterThan(25);
  for (const { verb, tableName } of written.filter((each) => each.tableName !== "client")) {
    const plain = `${verb.replaceAll("-", " ")} ${tableName.replaceAll("_", " ")}`;
    expect([plain, auditText({ verb, tableName, clientName: null }) === plain]).toEqual([plain, false]);
  }
});
