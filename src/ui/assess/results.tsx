"use client";
import { type Advice } from "../../core/assess/advice";
import { changeSince, type Finding, findingsOf, latestOf, type Retest, type SidesApart, sidesOf } from "../../core/assess/finding";
import { normOf, placeOf } from "../../core/assess/norm";
import type { Protocol } from "../../core/assess/protocols.data";
import type { Sex } from "../../core/body/body";
import { sitToStandPower } from "../../core/standards/chair-rise";
import type { UnitSystem } from "../../core/units";
import { Card, Soft, Title } from "../kit/layout";
import { adviceText, apartText, changeText, endText, findingText, normText, placeText, retestText } from "../../words/client/assess";
import { protocolName } from "../../words/basics/protocol";
import { dayText } from "../../words/basics/day";
import { capital } from "../../words/basics/words";
import { type Mark, NormBand } from "./norm-band";
import { SidesBar } from "./sides-bar";

export interface Whom {
  age: number;
  sex: Sex;
  massKg: number | null;
  statureM: number | null;
}

function marksOf(protocol: Protocol, findings: readonly Finding[], units: UnitSystem): Mark[] {
  const measured = sidesOf(protocol).filter((side) => latestOf(findings, protocol.id, side) !== null);
  return measured.flatMap((side, row): Mark[] => {
    const all = findingsOf(findings, protocol.id, side);
    const [now, before] = [all.at(-1), all.at(-2)];
    const prefix = side === "both" ? "" : `${side} `;
    return [
      ...(before ? [{ value: before.value, label: dayText(before.day), kind: "before" as const, row: row as 0 | 1 }] : []),
      ...(now
        ? [{ value: now.value, label: `${prefix}${findingText(protocol, now.value, units)}`, kind: "now" as const, row: row as 0 | 1 }]
        : []),
    ];
  });
}

/** What came of one protocol: on its published band, beside the time before; never passed or failed. */
export function ResultCard({
  protocol,
  findings,
  whom,
  units,
}: {
  protocol: Protocol;
  findings: readonly Finding[];
  whom: Whom;
  units: UnitSystem;
}) {
  const norm = normOf(protocol.id, whom);
  const marks = protocol.quantity === "choice" ? [] : marksOf(protocol, findings, units);
  const latest = sidesOf(protocol).flatMap((side) => latestOf(findings, protocol.id, side) ?? []);
  const name = protocolName(protocol.id);
  return (
    <Card aria-label={`Result: ${name}`}>
      <Title>{name}</Title>
      {latest.length === 0 && (
        <p>
          <Soft>Not measured yet.</Soft>
        </p>
      )}
      {marks.length > 0 && (
        <NormBand
          norm={norm}
          marks={marks}
          say={(value) => endText(protocol, value, units)}
          label={`${name}: ${marks.map(({ label }) => label).join(", ")}`}
        />
      )}
      {latest.map((finding) => {
        const change = changeSince(protocol, finding, findings);
        return (
          <p key={finding.id}>
            {finding.side !== "both" && <strong>{capital(finding.side)}: </strong>}
            {findingText(protocol, finding.value, units)}, {dayText(finding.day)}.{" "}
            {norm && placeText(placeOf(finding.value, norm), norm, whom)} {change && changeText(change, protocol, units)}
            {finding.note && ` ${finding.note}`}
          </p>
        );
      })}
      <Power protocol={protocol} finding={latest[0]} whom={whom} />
      {latest.length > 0 && (
        <p>
          <Soft>{norm ? normText(protocol, norm, units) : `No published range for ${whom.age} that we know of.`}</Soft>
        </p>
      )}
    </Card>
  );
}

/** Five rises as power, where body and seat are known. */
function Power({ protocol, finding, whom: { massKg, statureM } }: { protocol: Protocol; finding: Finding | undefined; whom: Whom }) {
  const chairM = finding?.setUp.seatHeightM;
  if (protocol.id !== "five-rises" || !finding || chairM === undefined || massKg === null || statureM === null) return null;
  const { watts, wattsPerKg } = sitToStandPower({ massKg, statureM, chairM, seconds: finding.value });
  return (
    <p>
      About {Math.round(watts)} W, {wattsPerKg.toFixed(2)} W for each kilogram of body mass <Soft>(Alcazar and others 2018)</Soft>
    </p>
  );
}

/** Left beside right, where both were measured alike. */
export function SidesCard({ apart, units }: { apart: readonly (SidesApart & { protocol: Protocol })[]; units: UnitSystem }) {
  if (apart.length === 0) return null;
  return (
    <Card aria-label="Right against left">
      <Title>Right against left</Title>
      {apart.map(({ protocol, left, right, ...index }) => (
        <div key={protocol.id}>
          <p style={{ marginTop: 6 }}>
            {protocolName(protocol.id)} <Soft>{apartText(index)}</Soft>
          </p>
          <SidesBar
            left={{ value: left.value, text: findingText(protocol, left.value, units) }}
            right={{ value: right.value, text: findingText(protocol, right.value, units) }}
          />
        </div>
      ))}
    </Card>
  );
}

export function AdviceCard({ advice }: { advice: readonly Advice[] }) {
  if (advice.length === 0) return null;
  return (
    <Card aria-label="What it says together" $accent={advice.some(({ code }) => code === "spreads") ? "oxide" : "brass"}>
      <Title>What it says together</Title>
      {advice.map((each) => (
        <p key={JSON.stringify(each)}>{adviceText(each)}</p>
      ))}
      <p>
        <Soft>The order of work is common practice or our own reasoning (◊): yours to change.</Soft>
      </p>
    </Card>
  );
}

export function RetestsCard({ retests, onChoose }: { retests: readonly Retest[]; onChoose: (protocol: string) => void }) {
  if (retests.length === 0) return null;
  return (
    <Card aria-label="Due again">
      <Title>Due again</Title>
      <ul>
        {retests.map((retest) => (
          <li key={retest.protocol}>
            <a
              href={`#${retest.protocol}`}
              onClick={(event) => {
                event.preventDefault();
                onChoose(retest.protocol);
              }}
            >
              {protocolName(retest.protocol)}
            </a>{" "}
            {retest.isOverdue ? <strong>{retestText(retest)}</strong> : <Soft>{retestText(retest)}</Soft>}
          </li>
        ))}
      </ul>
    </Card>
  );
}
