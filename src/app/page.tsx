import { cookies } from "next/headers";
import pLimit from "p-limit";
import { dayAfter, mondayOf } from "../core/day";
import { oncePer } from "../core/once";
import type { ClientRecord } from "../core/record/facts/record";
import type { ClientLine } from "../core/studio/client-line";
import { byNeed, needGroups } from "../core/studio/needs";
import { comingBetween } from "../core/week/visit";
import { readStudio } from "../data/orm";
import { listClients } from "../data/repos/client.repo";
import { loadRecord } from "../data/repos/record.repo";
import { listVisits } from "../data/repos/visit.repo";
import { DEVICE_COOKIE, untoldDevices } from "../server/known-device";
import { requireSignedIn } from "../server/session";
import { Header } from "../ui/shell/header";
import { toldOf, waitingOf, whoComes } from "../ui/today/today-rows";
import { TodayScreen } from "../ui/today/today-screen";

/** So many are named of each kind of need; the others are counted. */
const MOST_NAMED = 50;
/** So many builds are worked out; who waits beyond them is named without what the rules say. */
const MOST_WORKED_OUT = 10;
const WEEKS_AHEAD = 6;
/** Records read side by side: the rest of the connections are for everybody else. */
const READ_AT_ONCE = 3;

/**
 * Who comes and what asks for an eye is one look at the list; what each record says besides arrives while the page already
 * stands, in the order of the hour.
 */
export default async function TodayPage() {
  const { scope, owner, studioName, timeZone, unitSystem, today } = await requireSignedIn();
  const monday = mondayOf(today);
  const [lines, visits] = await readStudio(
    scope.studioId,
    async (em) => [await listClients(scope, em, today), await listVisits(scope, em)] as const,
  );
  const comings = comingBetween(visits, monday, dayAfter(monday, 7 * WEEKS_AHEAD));
  const all = byNeed(lines, today).filter(({ line }) => line.archivedDay === null);
  const rows = whoComes(
    lines,
    comings.filter(({ day }) => day === today),
    today,
  );
  const inTurn = pLimit(READ_AT_ONCE);
  const recordOf = oncePer((line: ClientLine) => inTurn(() => readStudio(scope.studioId, (em) => loadRecord(scope, em, line.id))));
  const arriving = <T,>(some: readonly { line: ClientLine }[], work: (record: ClientRecord) => T): Record<string, Promise<T | null>> =>
    Object.fromEntries(some.map(({ line }) => [line.id, recordOf(line).then((record) => record && work(record))]));
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <TodayScreen
        newDevices={await untoldDevices(scope.actorId, (await cookies()).get(DEVICE_COOKIE)?.value)}
        rows={rows}
        told={arriving(rows, (record) => toldOf(record, today))}
        clients={all.map(({ line: { id, name } }) => ({ id, name })).toSorted((a, b) => a.name.localeCompare(b.name))}
        groups={needGroups(all, MOST_NAMED)}
        waiting={arriving(
          all.filter(({ needs }) => needs.some(({ code }) => code === "decision-waits")).slice(0, MOST_WORKED_OUT),
          (record) => waitingOf(record, today),
        )}
        visits={visits}
        comings={comings.filter(({ day }) => day <= dayAfter(monday, 6))}
        later={comings.find(({ day }) => day > today) ?? null}
        studioName={studioName}
        timeZone={timeZone}
        today={today}
        units={unitSystem}
      />
    </>
  );
}
