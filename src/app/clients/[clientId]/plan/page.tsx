import { retestsOf } from "../../../../core/assess/finding";
import { conditionIds } from "../../../../core/assess/pick";
import { variationById } from "../../../../core/catalogue/catalogue";
import { OWN_DAY } from "../../../../core/judge/daily";
import { openWarningsOf, painfulWeeks, trainedDays } from "../../../../core/record/standing/history";
import { currentPlans } from "../../../../core/record/standing/plans";
import { fitContextOf } from "../../../../core/record/standing/context";
import type { ClientRecord, RungFact } from "../../../../core/record/facts/record";
import type { UnitSystem } from "../../../../core/units";
import { blockStart } from "../../../../core/session/plan";
import {
  builtSince,
  dailyLoads,
  doneSets,
  firstProgramme,
  programmeNow,
  strengthTrends,
  usualAsked,
  wayToGoal,
} from "../../../../core/record/programme/programme";
import type { Pattern } from "../../../../core/catalogue/variation";
import type { LeverId } from "../../../../core/templates/lever";
import { rangeOf } from "../../../../core/templates/form";
import type { Subject } from "../../../../core/templates/template";
import { weekTotals } from "../../../../core/week/totals";
import { readStudio } from "../../../../data/orm";
import { standingLink } from "../../../../data/repos/private-link.repo";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { Link } from "../../../../ui/kit/link";
import { type GoalAsked, PlanScreen } from "../../../../ui/plan/plan-screen";
import { itemName } from "../../../../words/basics/item";
import { leverValueText, settingText } from "../../../../words/basics/lever";
import { protocolName } from "../../../../words/basics/protocol";
import { MessageScreen } from "../../../../ui/shell/message-screen";

interface Props {
  params: Promise<{ clientId: string }>;
}

/** The hardest height of the client's own day that a planned rung leads to. */
function goalOf(record: ClientRecord, subject: Subject): (GoalAsked & { pattern: Pattern; lever: LeverId; wanted: number }) | null {
  const plans = currentPlans(record);
  for (const { name, kind, heightM } of record.dailyTasks.toReversed()) {
    const { pattern, rowId, lever } = OWN_DAY[kind];
    const plan = plans.find(({ rung }) => rung.pattern === pattern);
    const range = rangeOf(subject, variationById(rowId), lever);
    if (!plan || !range || heightM < range.min || heightM > range.max) continue;
    const { shareFraction } = plan.rung.setting;
    return {
      name,
      pattern,
      lever,
      wanted: heightM,
      from: { variationId: plan.rung.variationId, setting: plan.rung.setting },
      to: { variationId: rowId, setting: { [lever]: heightM, ...(shareFraction === undefined ? {} : { shareFraction }) } },
    };
  }
  return null;
}

/** "seat 70 cm → seat 69 cm", with the exercise named where it became another. */
function grownText(from: RungFact, to: RungFact, units: UnitSystem): string {
  const isSame = from.variationId === to.variationId;
  const said = ({ variationId, setting }: RungFact): string =>
    [...(isSame ? [] : [variationById(variationId).name.toLowerCase()]), settingText(setting, units)].filter(Boolean).join(", ");
  return `${said(from)} → ${said(to)}`;
}

export default async function PlanPage({ params }: Props) {
  const { clientId } = await params;
  const { today, unitSystem, scope } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const context = fitContextOf(record, today);
  if (!context)
    return (
      <MessageScreen title="No body yet">
        <p>Stature and mass are needed before a session can be planned.</p>
        <Link href={`/clients/${clientId}/limits`}>Enter them</Link>
      </MessageScreen>
    );
  const asked = usualAsked(record);
  const kept = programmeNow(record);
  const doneDays = trainedDays(record);
  const count = (answer: "calm" | "noticed" | "flare"): number => record.responses.filter((each) => each.class === answer).length;
  const {
    day: _day,
    sequence: _sequence,
    keptAt: _keptAt,
    ...first
  } = kept ?? { day: today, sequence: 0, keptAt: "", ...firstProgramme(record, context, today) };
  const goal = goalOf(record, context.subject);
  const way = goal && wayToGoal(record, goal);
  return (
    <PlanScreen
      key={kept?.sequence ?? "new"}
      clientId={clientId}
      studioId={scope.studioId}
      linkSince={kept && ((await readStudio(scope.studioId, (em) => standingLink(scope, em, clientId, "calendar", today)))?.since ?? null)}
      context={context}
      first={first}
      asked={asked}
      isKept={kept !== null}
      goal={goal}
      mornings={{ calm: count("calm"), noticed: count("noticed"), flare: count("flare") }}
      doneDays={doneDays}
      totals={weekTotals(doneSets(record))}
      isRepaired={conditionIds(record.screen).includes("ligament-repair")}
      way={way && { ...way, from: leverValueText(way.lever, way.from, unitSystem), now: leverValueText(way.lever, way.now, unitSystem) }}
      grown={builtSince(record, blockStart(first) ?? today).map(({ from, to }) => ({
        name: itemName(to),
        words: grownText(from, to, unitSystem),
      }))}
      painfulWeeks={painfulWeeks(record, blockStart(first) ?? today)}
      effort={{ ...dailyLoads(record, today), strength: strengthTrends(record) }}
      retests={retestsOf(record.findings, conditionIds(record.screen), today).map(({ protocol, dueDay }) => ({
        day: dueDay < today ? today : dueDay,
        name: protocolName(protocol),
      }))}
      today={today}
      units={unitSystem}
      openSigns={openWarningsOf(record).map(({ sign }) => sign)}
    />
  );
}
