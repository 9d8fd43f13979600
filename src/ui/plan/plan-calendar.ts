import { variationById } from "../../core/catalogue/catalogue";
import { programmeNow } from "../../core/record/programme/programme";
import type { ClientRecord } from "../../core/record/facts/record";
import { onLightDay, sessionS } from "../../core/session/session";
import { calendarFile } from "../../formats/calendar";

/** A client's programme as a calendar, each entry by a name that stays, so that reading it again moves them. Null without one. */
export function planCalendar(record: ClientRecord, timeZone: string): string | null {
  const plan = programmeNow(record);
  if (!plan) return null;
  const note = plan.items.map(({ variationId }) => variationById(variationId).name).join("\n");
  const minutes = (isLight: boolean): number => Math.ceil(sessionS(isLight ? plan.items.map(onLightDay) : plan.items, plan.rounds) / 60);
  return calendarFile({
    timeZone,
    madeAt: new Date().toISOString(),
    sessions: plan.laid.map(({ id, day, isLight = false }) => ({
      id: `${record.client.id}-${id.replaceAll(" ", "-")}`,
      sequence: plan.sequence,
      title: isLight ? "Training, light" : "Training",
      note,
      startDay: day,
      at: plan.at,
      minutes: minutes(isLight),
      repeats: null,
      exceptDays: [],
    })),
  });
}
