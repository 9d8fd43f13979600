import { dayAfter, mondayOf } from "../core/day";
import type { ClientRecord } from "../core/record/record";
import { byNeed } from "../core/record/needs";
import { comingBetween } from "../core/week/visit";
import { readStudio } from "../data/orm";
import { listClients } from "../data/repos/client.repo";
import { loadRecord } from "../data/repos/record.repo";
import { listVisits } from "../data/repos/visit.repo";
import { requireSignedIn } from "../server/session";
import { Header } from "../ui/shell/header";
import { rowOf, waitingOf, whoComes } from "../ui/today/today-rows";
import { TodayScreen } from "../ui/today/today-screen";

/** So many are worked out before the page is shown; who waits beyond them is named without what the rules say. */
const MOST_WORKED_OUT = 10;
const WEEKS_AHEAD = 6;

export default async function TodayPage() {
  const { scope, owner, studioName, timeZone, unitSystem, today } = await requireSignedIn();
  const monday = mondayOf(today);
  const read = await readStudio(scope.studioId, async (em) => {
    const [lines, visits] = [await listClients(scope, em, today), await listVisits(scope, em)];
    const comings = comingBetween(visits, monday, dayAfter(monday, 7 * WEEKS_AHEAD));
    const all = byNeed(lines, today).filter(({ line }) => line.archivedDay === null);
    const read = new Map<string, ClientRecord | null>();
    const recordOf = async (id: string): Promise<ClientRecord | null> => {
      if (!read.has(id)) read.set(id, await loadRecord(scope, em, id));
      return read.get(id) ?? null;
    };
    const rows = [];
    const comingToday = comings.filter(({ day }) => day === today);
    for (const { line, needs, coming } of whoComes(lines, comingToday, today)) {
      const record = await recordOf(line.id);
      if (record) rows.push(rowOf(record, line, needs, coming, today));
    }
    const waiting = [];
    for (const { line } of all.filter(({ needs }) => needs.some(({ code }) => code === "decision-waits")).slice(0, MOST_WORKED_OUT)) {
      const record = await recordOf(line.id);
      if (record) waiting.push(waitingOf(record, today));
    }
    return { visits, comings, all, rows, waiting };
  });
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <TodayScreen {...read} studioName={studioName} timeZone={timeZone} today={today} units={unitSystem} />
    </>
  );
}
