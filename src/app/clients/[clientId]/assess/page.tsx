import { adviceOf } from "../../../../core/assess/advice";
import { isProtocol, retestsOf } from "../../../../core/assess/finding";
import { type Assessed, closedBy, conditionIds, pickProtocols } from "../../../../core/assess/pick";
import { PROTOCOLS } from "../../../../core/assess/protocols.data";
import type { DailyTask } from "../../../../core/judge/context";
import { openWarningsOf } from "../../../../core/record/standing/history";
import { schoolIn } from "../../../../core/record/standing/approach";
import { bodyMeasureOf, subjectOf } from "../../../../core/record/standing/subject";
import { type ScreenAnswers, screenGate } from "../../../../core/screen/screen";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { AssessScreen } from "../../../../ui/assess/assess-screen";
import { ageOn } from "../../../../words/basics/day";

/** Kinds of everyday task that matter to the client: heights of the day, and what is wanted back. */
const tasksOf = (daily: readonly DailyTask[], { goals = [] }: ScreenAnswers): ("seat" | "step")[] => [
  ...daily.map(({ kind }) => kind),
  ...goals.flatMap(({ task }) => (task === "stairs" ? ["step" as const] : task === "rise" ? ["seat" as const] : [])),
];

interface Props {
  params: Promise<{ clientId: string }>;
  searchParams: Promise<{ do?: string }>;
}

export default async function AssessPage({ params, searchParams }: Props) {
  const [{ clientId }, { do: wanted }] = [await params, await searchParams];
  const { today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const { client, screen, complaints, limits, findings, dailyTasks } = record;
  const signs = openWarningsOf(record).map(({ sign }) => sign);
  const body = bodyMeasureOf(record);
  const age = ageOn(client.birthYear, today);
  const assessed: Assessed = {
    age,
    screen,
    complaints,
    tasks: tasksOf(dailyTasks, screen),
    limits,
    findings,
    gate: screenGate(screen, today, signs).state,
    today,
  };
  const closed = PROTOCOLS.flatMap((protocol) => {
    const by = closedBy(protocol, assessed);
    return by ? [[protocol.id, by] as const] : [];
  });
  return (
    <AssessScreen
      clientId={clientId}
      whom={{ age, sex: client.sex, massKg: body?.massKg ?? null, statureM: body?.heightM ?? null }}
      wanted={wanted !== undefined && isProtocol(wanted) ? wanted : null}
      findings={findings}
      picked={pickProtocols(assessed)}
      closed={Object.fromEntries(closed)}
      advice={adviceOf(findings, screen)}
      retests={retestsOf(findings, conditionIds(screen), today)}
      complaints={complaints}
      sideOrder={schoolIn(record).positions["measured-first"] === "sore-last" ? "sore-last" : "sore-first"}
      limits={limits}
      subject={subjectOf(record)}
      cushionM={record.cushionM}
      chairs={dailyTasks.filter(({ kind }) => kind === "seat")}
      today={today}
      units={unitSystem}
    />
  );
}
