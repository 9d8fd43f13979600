import { openWarningsOf } from "../../../../core/record/standing/history";
import { isBack } from "../../../../core/limits/complaint";
import { clocksOf, furtherQuestions, isScreenLimit, rulesOn, screenGate, soonOf } from "../../../../core/screen/screen";
import { readStudio } from "../../../../data/orm";
import { listLetters } from "../../../../data/repos/letter.repo";
import { schoolIn } from "../../../../core/record/standing/approach";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { ScreenPage } from "../../../../ui/screen/screen-page";

export default async function Page({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { scope, today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const letters = await readStudio(scope.studioId, (em) => listLetters(scope, em, clientId));
  const { screen, limits } = record;
  return (
    <ScreenPage
      clientId={clientId}
      answers={screen}
      gate={screenGate(
        screen,
        today,
        openWarningsOf(record).map(({ sign }) => sign),
      )}
      rules={rulesOn(screen, today)}
      clocks={clocksOf(screen, today)}
      limits={limits.filter(isScreenLimit)}
      letters={letters}
      cleared={record.clearances}
      soon={soonOf(screen, limits, today, schoolIn(record).clearanceMonths)}
      complaints={record.complaints}
      further={furtherQuestions(
        screen,
        record.complaints.some(({ site }) => isBack(site)),
      )}
      today={today}
      units={unitSystem}
    />
  );
}
