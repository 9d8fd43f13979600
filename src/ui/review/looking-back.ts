import { changeSince, type Finding, findingsOf, latestOf, type SidesApart, sidesApart, sidesOf } from "../../core/assess/finding";
import { PROTOCOLS, type Protocol } from "../../core/assess/protocols.data";
import { variationById } from "../../core/catalogue/catalogue";
import type { Day } from "../../core/day";
import type { ChannelSide } from "../../core/mechanics/channels";
import { plannedOf } from "../../core/record/standing/history";
import { lineKey } from "../../core/record/facts/line";
import type { ClientRecord, RungFact } from "../../core/record/facts/record";
import { isSameSetting } from "../../core/templates/lever";
import { itemName } from "../../words/basics/item";

/** What a look back over the sessions here comes to, as data. */
export interface LookingBack {
  sessions: number;
  flares: number;
  /** Before and after of each measure, where the change is more than its own error. */
  worked: readonly { protocol: Protocol; side: ChannelSide; before: Finding; now: Finding; isBetter: boolean | null }[];
  /** Lines of work from the rung they began on to the one they stand on, and how many steps up and down lie between. */
  climbed: readonly { from: RungFact; to: RungFact; ups: number; downs: number }[];
  /** Left against right in like-for-like tests, the first time both were known and now. */
  apart: readonly { protocol: Protocol; first: SidesApart | null; now: SidesApart }[];
  painBy: readonly { name: string; sets: number; median: number; highest: number; sharp: number }[];
  /** A fault by its exercise, side and place among the sets. */
  faults: readonly { name: string; sign: string; setNumber: number; count: number; of: number }[];
  planned: { sets: number; done: number };
  /** Lines of work that were held this often running: look for the cause, not for more. */
  plateaus: readonly { name: string; holds: number }[];
}
const FAULT_FROM = 3;
const PLATEAU_FROM = 3;
const LISTED = 6;
const laterDay = ({ left, right }: SidesApart): Day => (left.day > right.day ? left.day : right.day);

export function lookingBack(record: ClientRecord): LookingBack {
  const { sessions, responses, findings, decisions } = record;
  const items = sessions.flatMap((session) =>
    session.items.flatMap((item) => {
      const planned = plannedOf(record, item);
      const sets = session.sets.filter(({ itemId }) => itemId === item.id);
      return planned ? [{ session, item, ...planned, sets }] : [];
    }),
  );
  const by = <T>(of: readonly T[], keyOf: (each: T) => string): Map<string, T[]> => {
    const groups = new Map<string, T[]>();
    for (const each of of) groups.set(keyOf(each), [...(groups.get(keyOf(each)) ?? []), each]);
    return groups;
  };
  const trained = items.filter(({ sets }) => sets.length > 0);
  const worked = PROTOCOLS.flatMap((protocol) =>
    sidesOf(protocol).flatMap((side): LookingBack["worked"] => {
      const now = latestOf(findings, protocol.id, side);
      const change = now && changeSince(protocol, now, findings);
      return now && change?.kind === "real" ? [{ protocol, side, before: change.before, now, isBetter: change.isBetter }] : [];
    }),
  );
  const painBy = [...by(trained, ({ rung }) => itemName(rung))].map(([name, each]) => {
    const sets = each.flatMap((one) => one.sets);
    const scores = sets.flatMap(({ painScore }) => (painScore === null ? [] : [painScore])).toSorted((a, b) => a - b);
    return {
      name,
      sets: sets.length,
      median: scores[Math.floor(scores.length / 2)] ?? 0,
      highest: scores.at(-1) ?? 0,
      sharp: sets.filter(({ endedBy }) => endedBy === "sharp").length,
    };
  });
  const numbered = trained.flatMap(({ rung, sets }) => sets.map((set, i) => ({ rung, set, setNumber: i + 1 })));
  const faults = [
    ...by(
      numbered.flatMap((each) => each.set.faults.map((fault) => ({ ...each, fault }))),
      ({ rung, fault, setNumber }) => `${itemName(rung)} ${fault} ${setNumber}`,
    ).values(),
  ]
    .flatMap((group): LookingBack["faults"] => {
      const [first] = group;
      if (!first || group.length < FAULT_FROM) return [];
      const of = numbered.filter(({ rung, setNumber }) => itemName(rung) === itemName(first.rung) && setNumber === first.setNumber).length;
      const sign = variationById(first.rung.variationId).faults.find(({ id }) => id === first.fault)?.sign ?? first.fault;
      return [{ name: itemName(first.rung), sign, setNumber: first.setNumber, count: group.length, of }];
    })
    .toSorted((a, b) => b.count - a.count);
  const itemById = new Map(items.map((each) => [each.item.id, each]));
  const plateaus = [
    ...by(decisions, ({ itemId }) => {
      const found = itemById.get(itemId);
      return found ? itemName(found.rung) : "";
    }),
  ].flatMap(([name, each]) => {
    const holds = each.length - 1 - each.findLastIndex(({ move }) => move !== "hold");
    return name !== "" && holds >= PLATEAU_FROM ? [{ name, holds }] : [];
  });
  const climbed = [...by(trained, ({ rung }) => lineKey(rung)).values()].flatMap((each): LookingBack["climbed"] => {
    const [from, to] = [each[0]?.rung, each.at(-1)?.rung];
    if (!from || !to || (from.variationId === to.variationId && isSameSetting(from.setting, to.setting))) return [];
    const moves = decisions.filter(({ itemId }) => each.some(({ item }) => item.id === itemId)).map(({ move }) => move);
    return [{ from, to, ups: moves.filter((move) => move === "build").length, downs: moves.filter((move) => move === "ease").length }];
  });
  const apart = PROTOCOLS.flatMap((protocol): LookingBack["apart"] => {
    const now = sidesApart(protocol, findings);
    if (!now || now.deficitFraction === null) return [];
    const [firstLeft, firstRight] = [findingsOf(findings, protocol.id, "left")[0], findingsOf(findings, protocol.id, "right")[0]];
    const early = firstLeft && firstRight && (firstLeft.day > firstRight.day ? firstLeft.day : firstRight.day);
    const first =
      early && early < laterDay(now)
        ? sidesApart(
            protocol,
            findings.filter(({ day }) => day <= early),
          )
        : null;
    return [{ protocol, first, now }];
  });
  return {
    sessions: sessions.filter(({ sets }) => sets.length > 0).length,
    flares: responses.filter((each) => each.class === "flare").length,
    worked,
    climbed: climbed.toSorted((a, b) => b.ups - a.ups).slice(0, LISTED),
    apart,
    painBy: painBy.toSorted((a, b) => b.highest - a.highest || b.median - a.median).slice(0, LISTED),
    faults: faults.slice(0, LISTED),
    planned: {
      sets: items.reduce((sum, { prescription }) => sum + prescription.dose.setCount, 0),
      done: items.reduce((sum, { sets }) => sum + sets.length, 0),
    },
    plateaus,
  };
}
