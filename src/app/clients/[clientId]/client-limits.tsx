import { retestsOf } from "../../../core/assess/finding";
import { conditionIds } from "../../../core/assess/pick";
import type { Day } from "../../../core/day";
import { openWarningsOf } from "../../../core/record/standing/history";
import type { ClientRecord } from "../../../core/record/facts/record";
import type { UnitSystem } from "../../../core/units";
import { LimitsBar } from "../../../ui/shell/limits-bar";
import { responseText } from "../../../words/training/decision";

/** What always stands above a client's pages: limits, open signs, what is due, and the last morning. */
export function ClientLimits({ record, today, units }: { record: ClientRecord; today: Day; units: UnitSystem }) {
  const last = record.responses.at(-1);
  return (
    <LimitsBar
      clientId={record.client.id}
      limits={record.limits}
      warnings={openWarningsOf(record)}
      today={today}
      units={units}
      ownLimit={record.screen.person?.ownLimit ?? ""}
      overdueCount={retestsOf(record.findings, conditionIds(record.screen), today).filter(({ isOverdue }) => isOverdue).length}
      last={last ? `Last session: ${responseText[last.class]}` : "No morning yet"}
    />
  );
}
