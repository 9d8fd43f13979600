"use client";
import { useState } from "react";
import styled from "styled-components";
import type { Advice } from "../../core/assess/advice";
import { type Finding, firstSide, latestOf, protocolOf, type Retest, sidesApart, sidesOf, type SideOrder } from "../../core/assess/finding";
import type { Closed, Picked } from "../../core/assess/pick";
import { PROTOCOL_GROUPS, PROTOCOLS, type Protocol } from "../../core/assess/protocols.data";
import type { Day } from "../../core/day";
import type { Complaint, LimitedBy } from "../../core/limits/complaint";
import type { Limit } from "../../core/limits/limit";
import type { ChannelSide, Side } from "../../core/mechanics/channels";
import { CUSHION_M } from "../../core/templates/lever";
import type { Subject } from "../../core/templates/template";
import type { UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { Card, Page, Soft, Stack, Title } from "../kit/layout";
import { Ask } from "../kit/why";
import { CalmPoseForm } from "../limits/calm-pose-form";
import { closedText, findingText, pickedText } from "../../words/client/assess";
import { protocolHow, protocolName } from "../../words/basics/protocol";
import { sourceText } from "../../words/client/screen";
import { color, media, size } from "../theme/tokens";
import { ScalesPanel } from "../scales/scales-panel";
import { CalmLadder } from "./calm-ladder";
import { ProtocolCard } from "./protocol-card";
import { AdviceCard, ResultCard, RetestsCard, SidesCard, type Whom } from "./results";
import { type Chair, SeatCard } from "./seat-card";

const Frame = styled.div`
  display: grid;
  grid-template-columns: 260px minmax(0, 1fr) 370px;
  gap: 14px;
  align-items: start;
  ${media.upright} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Choice = styled.button<{ $isChosen: boolean }>`
  display: block;
  width: 100%;
  min-height: ${size.target};
  padding: 8px 12px;
  border: ${({ $isChosen }) => ($isChosen ? `2px solid ${color.marine}` : `1px solid ${color.fogDeep}`)};
  border-radius: ${size.radius};
  background: ${color.paper};
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
`;
const GROUPS: Readonly<Record<(typeof PROTOCOL_GROUPS)[number], string>> = {
  rise: "Rising",
  balance: "Balance",
  step: "Steps",
  foot: "Foot and ankle",
  range: "Range",
  back: "Back and hinge",
  trunk: "Trunk",
  size: "Tape",
  walk: "Walking",
};

export interface AssessScreenProps {
  clientId: string;
  whom: Whom;
  /** The protocol a link asked for. */
  wanted: string | null;
  findings: readonly Finding[];
  picked: readonly Picked[];
  closed: Readonly<Record<string, Closed>>;
  advice: readonly Advice[];
  retests: readonly Retest[];
  complaints: readonly Complaint[];
  /** Which side the school begins with. */
  sideOrder: SideOrder;
  limits: readonly Limit[];
  subject: Subject | null;
  cushionM: number | null;
  chairs: readonly Chair[];
  today: Day;
  units: UnitSystem;
}

const soreSides = (complaints: readonly Complaint[]): Side[] => [
  ...new Set(complaints.flatMap(({ side }): Side[] => (side === "both" ? ["left", "right"] : [side]))),
];
/** The side that was kept first on the last day this was done. */
function lastFirst(findings: readonly Finding[], protocol: string): Side | null {
  const day = findings.findLast((finding) => finding.protocol === protocol)?.day;
  const first = findings.find((finding) => finding.protocol === protocol && finding.day === day)?.side;
  return first === "left" || first === "right" ? first : null;
}

const resultText = (protocol: Protocol, findings: readonly Finding[], units: UnitSystem): string =>
  sidesOf(protocol)
    .flatMap((side) => {
      const found = latestOf(findings, protocol.id, side);
      return found ? [`${side === "both" ? "" : `${side} `}${findingText(protocol, found.value, units)}`] : [];
    })
    .join(", ");

/** Five protocols for this client with the reason for each, the one in hand, and what came of it; the rest are there to pick. */
export function AssessScreen(props: AssessScreenProps) {
  const {
    clientId,
    whom,
    wanted,
    findings,
    picked,
    closed,
    advice,
    retests,
    complaints,
    sideOrder,
    limits,
    subject,
    cushionM,
    chairs,
    today,
    units,
  } = props;
  const [chosen, setChosen] = useState<string>(wanted ?? picked[0]?.protocol.id ?? "chair-stand");
  const [isAllOpen, setAllOpen] = useState(false);
  const [calm, setCalm] = useState<{ side: Side; heightM: number; limitedBy: LimitedBy } | null>(null);
  const protocol = protocolOf(chosen);
  if (!protocol) return null;
  const begin = firstSide(soreSides(complaints), sideOrder, lastFirst(findings, protocol.id));
  const sides: readonly ChannelSide[] = protocol.isSided ? [begin, begin === "left" ? "right" : "left"] : ["both"];
  const apart = PROTOCOLS.flatMap((each) => {
    const found = sidesApart(each, findings);
    return found ? [{ ...found, protocol: each }] : [];
  });
  const isLadder = protocol.id === "calm-seat" || protocol.id === "calm-step";
  const isRising = protocol.group === "rise";
  const shownClosed = closed[protocol.id] ?? null;
  return (
    <Page>
      <Frame>
        <Stack>
          <Title>Five for this client, and why</Title>
          {picked.length === 0 && <Soft>Nothing answered so far points to one. Pick below.</Soft>}
          <Stack $gap={8} as="nav" aria-label="Protocols for this client">
            {picked.map((each) => (
              <Choice
                key={each.protocol.id}
                $isChosen={each.protocol.id === chosen}
                aria-current={each.protocol.id === chosen}
                onClick={() => setChosen(each.protocol.id)}
              >
                <strong>{protocolName(each.protocol.id)}</strong>
                <br />
                <Soft>{[resultText(each.protocol, findings, units), pickedText(each)].filter((text) => text !== "").join("; ")}</Soft>
              </Choice>
            ))}
          </Stack>
          <Button onPress={() => setAllOpen(true)}>All {PROTOCOLS.length}</Button>
          <RetestsCard retests={retests} onChoose={setChosen} />
        </Stack>
        <Stack>
          {isLadder && subject && !shownClosed ? (
            <Card aria-label={protocolName(protocol.id)}>
              <Title>{protocolName(protocol.id)}</Title>
              {protocolHow(protocol.id).map((step) => (
                <p key={step}>{step}</p>
              ))}
              <Soft>{sourceText(protocol.source)}</Soft>
              <CalmLadder
                key={protocol.id}
                {...{ clientId, protocol, subject, findings, limits, today, units }}
                firstSide={begin}
                complaints={complaints}
                onRefine={setCalm}
              />
            </Card>
          ) : (
            <>
              {protocol.quantity === "share" && !shownClosed && (
                <ScalesPanel clientId={clientId} massKg={whom.massKg ?? 70} today={today} units={units} />
              )}
              <ProtocolCard key={protocol.id} {...{ clientId, protocol, findings, today, units, sides }} closed={shownClosed} />
            </>
          )}
        </Stack>
        <Stack>
          <ResultCard protocol={protocol} findings={findings} whom={whom} units={units} />
          <AdviceCard advice={advice} />
          <SidesCard apart={apart} units={units} />
          {isRising && subject && <SeatCard subject={subject} cushionM={cushionM ?? CUSHION_M} chairs={chairs} units={units} />}
        </Stack>
      </Frame>
      <Ask title={`All ${PROTOCOLS.length} protocols`} isOpen={isAllOpen} onClose={() => setAllOpen(false)}>
        <Stack>
          {PROTOCOL_GROUPS.map((group) => (
            <div key={group}>
              <h3>{GROUPS[group]}</h3>
              <Stack $gap={6}>
                {PROTOCOLS.filter((each) => each.group === group).map((each) => (
                  <Choice
                    key={each.id}
                    $isChosen={each.id === chosen}
                    onClick={() => {
                      setChosen(each.id);
                      setAllOpen(false);
                    }}
                  >
                    <strong>{protocolName(each.id)}</strong>{" "}
                    <Soft>{closed[each.id] ? closedText(closed[each.id] as Closed) : resultText(each, findings, units)}</Soft>
                  </Choice>
                ))}
              </Stack>
            </div>
          ))}
        </Stack>
      </Ask>
      <Ask title="More of the calm seat" isOpen={calm !== null} onClose={() => setCalm(null)}>
        {subject && calm && <CalmPoseForm clientId={clientId} subject={subject} units={units} given={calm} onDone={() => setCalm(null)} />}
      </Ask>
    </Page>
  );
}
