import { dayAfter, mondayOf } from "../core/day";
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
    const rows = [];
    for (const { line, needs, coming } of whoComes(
      lines,
      comings.filter(({ day }) => day === today),
      today,
    )) {
      const record = await loadRecord(scope, em, line.id);
      if (record) rows.push(rowOf(record, line, needs, coming, today));
    }
    const waiting = [];
    for (const { line } of all
      .filter(({ line: each }) => each.undecidedCount > 0 && each.openSigns.length === 0)
      .slice(0, MOST_WORKED_OUT)) {
      const record = await loadRecord(scope, em, line.id);
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
