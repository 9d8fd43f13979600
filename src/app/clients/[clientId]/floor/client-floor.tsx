import { endedBy } from "../../../../core/progress/warning";
import { isInCatalogue, variationById } from "../../../../core/catalogue/catalogue";
import type { Day } from "../../../../core/day";
import type { ClientRecord } from "../../../../core/record/facts/record";
import { awayToday, isAwayGiven } from "../../../../core/record/gate/away";
import { hadInjection, missesMorning, openWarningsOf, plannedOf, responseTo, usualScoreOn } from "../../../../core/record/standing/history";
import { currentPlans } from "../../../../core/record/standing/plans";
import { fitContextOf } from "../../../../core/record/standing/context";
import { laidOn, programmeItems, weakLinkOf } from "../../../../core/record/programme/programme";
import { painLimitOf } from "../../../../core/record/standing/approach";
import { readStudio } from "../../../../data/orm";
import { floorEventsOf, openToday } from "../../../../data/repos/floor.repo";
import { lightDose } from "../../../../core/session/session";
import { asksBelly, screenGate } from "../../../../core/screen/screen";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { BeforeSession } from "../../../../ui/floor/start/before-session";
import { FloorScreen } from "../../../../ui/floor/session/floor-screen";
import { Link } from "../../../../ui/kit/link";
import { GateScreen } from "../../../../ui/screen/gate-notice";
import { ageOn } from "../../../../words/basics/day";
import { MessageScreen } from "../../../../ui/shell/message-screen";

const lastBefore = (record: ClientRecord, today: Day) => record.sessions.findLast(({ day, sets }) => day < today && sets.length > 0);

/** The exercise that ended a set with sharp pain in the session before today's. */
function lastSharpOf(record: ClientRecord, today: Day): string {
  const last = lastBefore(record, today);
  const sharp = last?.sets.find(({ endedBy }) => endedBy === "sharp");
  const item = last?.items.find(({ id }) => id === sharp?.itemId);
  const planned = item && plannedOf(record, item);
  return planned ? variationById(planned.rung.variationId).name.toLowerCase() : "";
}

const lastMorningOf = (record: ClientRecord, today: Day) => {
  const last = lastBefore(record, today);
  return last ? (responseTo(record, last)?.class ?? null) : null;
};

/** Of every row that two cues were compared in, the one that felt lighter last. */
const lighterCues = (record: ClientRecord): Record<string, string> =>
  Object.fromEntries(
    record.sessions.flatMap(({ compared, items }) =>
      compared.flatMap(({ itemId, cues, lighter }): [string, string][] => {
        const item = items.find(({ id }) => id === itemId);
        const planned = item && plannedOf(record, item);
        return planned && lighter !== null ? [[planned.rung.variationId, cues[lighter]]] : [];
      }),
    ),
  );

/** The floor of one client, whatever stands in its way: a sign, a question of Screen, no plan, or nothing begun yet. */
export async function ClientFloor({ clientId }: { clientId: string }) {
  const { today, unitSystem, scope, owner } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const context = fitContextOf(record, today);
  const session =
    record.sessions.findLast(({ day, endedAt }) => day === today && endedAt === null) ??
    record.sessions.findLast(({ day }) => day === today);
  const items = session?.items.flatMap((item) => {
    const planned = plannedOf(record, item);
    if (!planned) return [];
    const { rung, prescription } = planned;
    const { part, inTurn } = item;
    const dose = session.isLight ? lightDose(prescription.dose) : prescription.dose;
    const isGiven = isAwayGiven(record, rung, today);
    return [
      { itemId: item.id, variationId: rung.variationId, setting: rung.setting, side: rung.side, dose, part, inTurn, isAwayGiven: isGiven },
    ];
  });

  // a sign that was not said in this session, or an answer on Screen, stops a session under way as well; its own sign is the floor's to show
  const isOver = session !== undefined && session.endedAt !== null;
  const elsewhere = openWarningsOf(record).filter(({ sourceId }) => !session?.warnings.some(({ eventId }) => eventId === sourceId));
  if (!isOver && elsewhere.length > 0)
    return elsewhere.every(({ sign }) => endedBy(sign) === "lead") ? (
      <MessageScreen title="Something stored cannot be read">
        <p>No session until a lead of the studio has looked at it.</p>
        <Link href={`/clients/${clientId}/limits`}>What it is</Link>
      </MessageScreen>
    ) : (
      <MessageScreen title="A warning sign stands open">
        <p>No session until a clinician has cleared it: who, in which role, and when.</p>
        <Link href={`/clients/${clientId}/limits`}>Record a clearance</Link>
      </MessageScreen>
    );
  const gate = screenGate(record.screen, today, []);
  if (!isOver && gate.state !== "open") return <GateScreen clientId={clientId} gate={gate} />;

  const floor = context && {
    clientId,
    owner,
    context,
    usualScore: Math.max(0, ...record.complaints.map(({ id }) => usualScoreOn(record, id, today))),
    limitScore: painLimitOf(record),
    missingMorning: record.sessions.some((each) => missesMorning(record, each, today)),
    lastMorning: lastMorningOf(record, today),
    weakSide: weakLinkOf(record).weakSide,
    noteOf: { name: record.client.name, ageYears: ageOn(record.client.birthYear, today) },
    asksBelly: asksBelly(record.screen),
    away: awayToday(record, today),
    lastSharp: lastSharpOf(record, today),
    hadInjection: hadInjection(record, today),
    lighter: lighterCues(record),
    ownLimit: record.screen.person?.ownLimit ?? "",
    painSite: record.complaints[0]?.words.split(",")[0] ?? "",
    units: unitSystem,
  };
  if (floor && session && items && items.length > 0) {
    const [known, others] = await readStudio(scope.studioId, async (em) => [
      await floorEventsOf(scope, em, session.id),
      await openToday(scope, em, today),
    ]);
    return (
      <FloorScreen
        {...floor}
        plan={{ sessionId: session.id, isLight: session.isLight, items }}
        known={known}
        others={others.filter((other) => other.clientId !== clientId)}
      />
    );
  }
  const programme = programmeItems(record, today);
  const plans = currentPlans(record).filter(({ rung }) => isInCatalogue(rung.variationId));
  if (!floor || (programme.length === 0 && plans.length === 0))
    return (
      <MessageScreen title="No plan yet">
        <p>Choose a rung on Fit and keep it; then it can be trained here.</p>
        <Link href={`/clients/${clientId}/fit`}>Go to Fit</Link>
      </MessageScreen>
    );
  const common = { clientId, units: unitSystem };
  const laid = laidOn(record, today);
  return (
    <BeforeSession
      floor={floor}
      asOf={today}
      programme={
        programme.length > 0 ? { ...common, isLight: laid?.isLight === true, isLaidToday: laid !== undefined, items: programme } : null
      }
      kept={{
        ...common,
        plans: plans.map(({ rung, prescription }) => ({
          prescriptionId: prescription.id,
          variationId: rung.variationId,
          setting: rung.setting,
          side: rung.side,
          dose: prescription.dose,
        })),
      }}
    />
  );
}
