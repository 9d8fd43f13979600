import { adviceOf } from "../src/core/assess/advice";
import { changeSince, type Finding, latestOf, protocolOf, retestsOf, sidesApart, sidesOf } from "../src/core/assess/finding";
import { normOf, placeOf } from "../src/core/assess/norm";
import { conditionIds, pickProtocols } from "../src/core/assess/pick";
import { PROTOCOLS } from "../src/core/assess/protocols.data";
import { isMeasuredSo, rangeLimits } from "../src/core/assess/range-limits";
import type { Issue } from "../src/core/reasons";
import { ruleLimits, screenGate } from "../src/core/screen/screen";
import type { AssessInput } from "../src/schemas/command-line/assess-input.schema";

/** What only a protocol can tell: its sides, and what a value of it can be. */
export const findingIssues = (findings: readonly Finding[], today: string): Issue[] =>
  findings.flatMap(({ protocol: id, side, value, day }, i): Issue[] => {
    const protocol = protocolOf(id);
    if (!protocol) return []; // the schema has said so
    const { min, max } = protocol;
    return [
      ...(sidesOf(protocol).includes(side) ? [] : [{ path: `findings.${i}.side`, code: "any.only", allowed: [...sidesOf(protocol)] }]),
      ...(value < min ? [{ path: `findings.${i}.value`, code: "number.min", limit: min }] : []),
      ...(value > max ? [{ path: `findings.${i}.value`, code: "number.max", limit: max }] : []),
      ...(day > today ? [{ path: `findings.${i}.day`, code: "day.future" }] : []),
    ];
  });

/** The latest of each protocol and side against what is published and what was before, both sides, what follows, and what is next. */
export function runAssess(input: AssessInput): object {
  const { age, sex, today, findings, screen = {}, complaints = [], tasks = [], limits = [] } = input;
  const results = PROTOCOLS.flatMap((protocol) =>
    sidesOf(protocol).flatMap((side) => {
      const now = latestOf(findings, protocol.id, side);
      if (!now) return [];
      const norm = normOf(protocol.id, { age, sex });
      return [{ ...now, norm, place: norm && placeOf(now.value, norm), change: changeSince(protocol, now, findings) }];
    }),
  );
  return {
    results,
    sides: PROTOCOLS.flatMap((protocol) => {
      const apart = sidesApart(protocol, findings);
      return apart ? [{ protocol: protocol.id, worse: apart.worse, deficitFraction: apart.deficitFraction }] : [];
    }),
    advice: adviceOf(findings, screen),
    limits: [...rangeLimits(findings), ...ruleLimits(screen, (gate, side) => isMeasuredSo(findings, gate, side))],
    retests: retestsOf(findings, conditionIds(screen), today),
    picked: pickProtocols({ age, screen, complaints, tasks, limits, findings, gate: screenGate(screen, today).state, today }).map(
      ({ protocol, because, isOverdue }) => ({ protocol: protocol.id, because, isOverdue }),
    ),
  };
}
