import { decisionFor } from "../../../../core/record/gate/decision";
import { undecidedItems } from "../../../../core/record/gate/undecided";
import { fitContextOf } from "../../../../core/record/standing/context";
import { isByTime, plannedOf, responseTo } from "../../../../core/record/standing/history";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { itemNameAmong } from "../../../../words/basics/item";
import { MorningScreen, type WaitingMorning } from "../../../../ui/morning/morning-screen";

export default async function MorningPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const undecided = undecidedItems(record);
  const session = undecided[0]?.session;
  const rungs = session?.items.flatMap((item) => plannedOf(record, item)?.rung ?? []) ?? [];
  const waiting: WaitingMorning | null = session
    ? {
        session,
        response: responseTo(record, session),
        items: undecided
          .filter((each) => each.session.id === session.id)
          .flatMap(({ item }) => {
            const rung = plannedOf(record, item)?.rung;
            if (!rung) return [];
            const found = session.day <= today ? decisionFor(record, session, item, today) : null;
            const context = fitContextOf(record, today, rung.side);
            const drawn = context && { subject: context.subject, increments: context.kit.increments, last: rung };
            const deciding = found && { ...found, drawn };
            return [
              {
                itemId: item.id,
                variationId: rung.variationId,
                name: itemNameAmong(rung, rungs),
                isByTime: isByTime(record, item),
                deciding,
              },
            ];
          }),
      }
    : null;
  return (
    <MorningScreen
      clientId={clientId}
      complaints={record.complaints}
      homeSets={record.homeSets.filter(({ isLooked }) => !isLooked)}
      waiting={waiting}
      today={today}
      limits={record.limits}
      units={unitSystem}
    />
  );
}
