import type { EntityManager } from "@mikro-orm/postgresql";
import type { Day } from "../core/day";
import { addLetter, type Letter, listLetters } from "../data/repos/letter.repo";
import type { Scope } from "../data/scope";
import { withRecord } from "./with-record";
import { refuse, type Taken } from "../core/outcome";

/** More of one client is no file of letters any more. */
const MOST_LETTERS = 100;

/** A clinician's letter, kept once. */
export const keepLetter = (scope: Scope, em: EntityManager, clientId: string, letter: Letter, today: Day): Promise<Taken> =>
  withRecord(scope, em, clientId, async () => {
    if (letter.day > today) return refuse({ code: "day-wrong", condition: "letter", problem: "day.future" });
    const known = await listLetters(scope, em, clientId);
    if (known.some(({ id }) => id === letter.id)) return { ok: true };
    if (known.length >= MOST_LETTERS) return refuse({ code: "too-many-letters" });
    await addLetter(scope, em, clientId, letter);
    return { ok: true };
  });
