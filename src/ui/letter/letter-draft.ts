import { findingsOf, latestOf, protocolOf, changeSince, sidesOf } from "../../core/assess/finding";
import { normOf, placeOf } from "../../core/assess/norm";
import { PROTOCOLS } from "../../core/assess/protocols.data";
import { type Day, dayAfter } from "../../core/day";
import { limitState } from "../../core/limits/limit";
import { openWarningsOf } from "../../core/record/standing/history";
import { currentPlans } from "../../core/record/standing/plans";
import { endedBy } from "../../core/progress/warning";
import type { Audience, LetterSection } from "../../core/studio/letter";
import type { ClientRecord } from "../../core/record/facts/record";
import { clocksOf } from "../../core/screen/screen";
import type { UnitSystem } from "../../core/units";
import { changeText as findingChangeText, findingText, placeText } from "../../words/client/assess";
import { ageOn, dayText } from "../../words/basics/day";
import { warningText } from "../../words/client/warning";
import { itemName } from "../../words/basics/item";
import { settingText } from "../../words/basics/lever";
import { limitText } from "../../words/client/limit";
import { capital, inSentence } from "../../words/basics/words";
import { itemDoseText } from "../../words/training/plan";
import { protocolName } from "../../words/basics/protocol";
import { conditionText } from "../../words/client/screen";

/** What a letter says of a client since a day, section by section, for its reader to be edited: sentences from facts, none that diagnoses. */
export function letterDraft(record: ClientRecord, audience: Audience, since: Day, today: Day, units: UnitSystem): LetterSection[] {
  const sections: LetterSection[] = [
    { id: "phase", words: phase(record, today) },
    ...(audience === "client" ? [] : [{ id: "limits" as const, words: limitsSaid(record, today, units) }]),
    { id: "done", words: done(record, since, units) },
    { id: "measures", words: measures(record, since, today, units) },
    { id: "response", words: response(record, since) },
    ...(audience === "client" ? [] : [{ id: "incidents" as const, words: incidents(record, since) }]),
    { id: "questions", words: questions(record, audience, today, units) },
  ];
  return sections.filter(({ words }) => words !== "");
}

function phase(record: ClientRecord, today: Day): string {
  const { client, complaints, screen } = record;
  const clocks = clocksOf(screen, today).map((clock) =>
    clock.kind === "weeks"
      ? `${conditionText(clock.condition.id)}${clock.condition.side === "both" ? "" : `, ${clock.condition.side}`}: ${clock.weeks} weeks`
      : `${conditionText(clock.condition.id)}: week ${clock.at.week}`,
  );
  return [
    `${ageOn(client.birthYear, today)} years. ${client.goal ? `Works towards: ${inSentence(client.goal)}.` : ""}`,
    complaints.length > 0 ? `Complaint: ${complaints.map(({ words }) => inSentence(words)).join("; ")}.` : "",
    clocks.length > 0 ? `${clocks.join(". ")}.` : "",
  ]
    .filter(Boolean)
    .join(" ");
}

const limitsSaid = ({ limits }: ClientRecord, today: Day, units: UnitSystem): string =>
  limits
    .filter((limit) => ["in-force", "ask"].includes(limitState(limit, today)) && limit.owner.kind !== "measure")
    .map((limit) => `${limitText(limit, today, units)}; set ${dayText(limit.fromDay)}.`)
    .join("\n");

function done(record: ClientRecord, since: Day, units: UnitSystem): string {
  const sessions = record.sessions.filter(({ day, sets }) => day >= since && sets.length > 0);
  const atHome = sessions.filter(({ place }) => place === "home").length;
  const lines = currentPlans(record).map(({ rung, prescription }) => {
    const first = record.rungs
      .filter(({ pattern, side, line }) => line === null && pattern === rung.pattern && side === rung.side)
      .toSorted((a, b) => a.day.localeCompare(b.day))
      .find(({ day }) => day >= since || rung.day <= day);
    const from =
      first && first.id !== rung.id ? `${[itemName(first), settingText(first.setting, units)].filter(Boolean).join(", ")} → ` : "";
    return `${from}${[itemName(rung), settingText(rung.setting, units)].filter(Boolean).join(", ")}; ${itemDoseText({ dose: prescription.dose, sides: [] })}.`;
  });
  if (sessions.length === 0) return "No session in this time.";
  return [
    `${sessions.length} ${sessions.length === 1 ? "session" : "sessions"} since ${dayText(since)}${atHome > 0 ? `, ${atHome} of them at home` : ""}.`,
    ...lines,
  ].join("\n");
}

function measures(record: ClientRecord, since: Day, today: Day, units: UnitSystem): string {
  const { client, findings } = record;
  const who = { age: ageOn(client.birthYear, today), sex: client.sex };
  return PROTOCOLS.flatMap((protocol) =>
    sidesOf(protocol).flatMap((side) => {
      const now = latestOf(findings, protocol.id, side);
      if (!now || findingsOf(findings, protocol.id, side).every(({ day }) => day < dayAfter(since, -90)) || !protocolOf(protocol.id))
        return [];
      const norm = normOf(protocol.id, who);
      const change = changeSince(protocol, now, findings);
      const parts = [
        `${protocolName(protocol.id)}${side === "both" ? "" : `, ${side}`}: ${findingText(protocol, now.value, units)} (${dayText(now.day)})`,
        ...(norm ? [placeText(placeOf(now.value, norm), norm, who)] : []),
        ...(change ? [findingChangeText(change, protocol, units)] : []),
      ];
      return [`${parts.map((part) => inSentence(part).replace(/\.$/, "")).join("; ")}.`].map(capital);
    }),
  ).join("\n");
}

function response({ responses }: ClientRecord, since: Day): string {
  const told = responses.filter(({ day, sessionId }) => day >= since && sessionId !== null);
  if (told.length === 0) return "No morning after a session has been told in this time.";
  const count = (answer: "calm" | "noticed" | "flare"): number => told.filter((each) => each.class === answer).length;
  const scores = told.flatMap(({ painScore }) => painScore ?? []).toSorted((a, b) => a - b);
  const answers = `Mornings after: ${count("calm")} calm, ${count("noticed")} noticed, ${count("flare")} flared, of ${told.length}.`;
  const pain = `Pain the next morning: median ${scores[Math.floor(scores.length / 2)]}, highest ${scores.at(-1)} of 10.`;
  return scores.length > 0 ? `${answers} ${pain}` : answers;
}

function incidents(record: ClientRecord, since: Day): string {
  const { responses, warnings, clearances, sessions } = record;
  return [
    ...warnings
      .filter(({ day }) => day >= since)
      .map(({ day, sign, sourceId }) => {
        const cleared = clearances.find((each) => each.sourceId === sourceId && each.sign === sign);
        return {
          day,
          words: `${warningText(sign)}; ${cleared ? `cleared by ${cleared.by} on ${dayText(cleared.day)}` : "not cleared yet, training is stopped"}`,
        };
      }),
    ...responses
      .filter(({ day, class: answer }) => day >= since && answer === "flare")
      .map(({ day, painScore, newSwelling }) => ({
        day,
        words: ["flare", ...(painScore === null ? [] : [`pain ${painScore}`]), ...(newSwelling ? ["new swelling"] : [])].join(", "),
      })),
    ...sessions
      .filter(({ day, sets }) => day >= since && sets.some(({ endedBy }) => endedBy === "sharp" || endedBy === "spreading"))
      .map(({ day }) => ({ day, words: "a set ended by sharp or spreading pain" })),
  ]
    .toSorted((a, b) => a.day.localeCompare(b.day))
    .map(({ day, words }) => `${dayText(day)}: ${words}.`)
    .join("\n");
}

function questions(record: ClientRecord, audience: Audience, today: Day, units: UnitSystem): string {
  if (audience === "client") return "What would you like to do next that you cannot yet?";
  const ended = record.limits.filter(
    (limit) => limit.owner.kind === "clinician" && limit.untilDay !== null && limit.lift === null && limit.untilDay <= dayAfter(today, 28),
  );
  return [
    ...openWarningsOf(record)
      .filter(({ sign }) => endedBy(sign) === "clinician")
      .map(({ sign }) => `${capital(inSentence(warningText(sign)))}: may training go on, and within which bounds?`),
    ...ended.map((limit) => `${limitText(limit, today, units)}: does it stay, or may it be lifted?`),
    ...(audience === "clinician" ? ["Is there anything else to keep from, or to aim at?"] : []),
  ].join("\n");
}
