"use client";
import { useEffect, useState } from "react";
import styled from "styled-components";
import { leftShare, scaleLine, shareSummary, shareUnder } from "../../../core/assess/scales";
import type { FootShare } from "../../../core/floor/told";
import type { Side } from "../../../core/mechanics/channels";
import type { UnitSystem } from "../../../core/units";
import { TextButton } from "../../kit/button";
import { Card, Notice, Row, Soft, Stack, Title } from "../../kit/layout";
import { pretendedScales, standInDriver } from "../../scales/driver";
import { ScaleButtons } from "../../scales/scale-buttons";
import { useScales } from "../../scales/use-scales";
import { massText, percentText } from "../../../words/basics/quantity";
import { color, font } from "../../theme/tokens";
import type { FloorSession } from "../session/floor-session";

const Share = styled.div`
  position: relative;
  height: 22px;
  border-radius: 3px;
  background: ${color.fogDeep};
  overflow: hidden;
  i {
    position: absolute;
    inset: 0 auto 0 0;
    background: ${color.marine};
  }
  b {
    position: absolute;
    top: 0;
    bottom: 0;
    width: 3px;
    background: ${color.brassLight};
  }
`;
const Large = styled.output`
  font: 700 34px/1 ${font.head};
  font-variant-numeric: tabular-nums;
`;
const SPARED_BY = 0.07;

/** What the hands or the pole take: whatever of the weight is on neither scale. */
const handsOf = (massKg: number, onScalesKg: number): number => Math.max(0, massKg - onScalesKg);

/** The weight under each foot while a set runs: the working leg's share, what the hands take, and the share meant. */
export function FootWeights({ session, units }: { session: FloorSession; units: UnitSystem }) {
  const [isOpen, setOpen] = useState(false);
  if (!isOpen)
    return (
      <Soft>
        <TextButton onPress={() => setOpen(true)}>weigh the feet</TextButton>
      </Soft>
    );
  return <Weighing session={session} units={units} onClose={() => setOpen(false)} />;
}

function Weighing({ session, units, onClose }: { session: FloorSession; units: UnitSystem; onClose: () => void }) {
  const { context, item, place, tempo, watchFeet } = session;
  const scales = useScales(scaleLine);
  const { state, readings, isStandIn, stop } = scales;
  const massKg = context.subject.body.massKg + (place.setting.loadKg ?? 0); // what is held stands on the scales too
  const side: Side = item.side;
  const targetFraction = place.setting.shareFraction ?? null;
  const now = readings.at(-1);
  const left = now ? leftShare(now) : null;
  const share = left === null ? null : side === "left" ? left : 1 - left;
  // of this set alone: what was read since it began
  const { read } = tempo;
  useEffect(() => {
    watchFeet((): FootShare | null => {
      const [last, { workedS }] = [readings.at(-1)?.atS ?? 0, read()];
      const own = readings.filter(({ atS }) => atS >= last - Math.max(1, workedS));
      const summary = shareSummary(own);
      if (!summary) return null;
      const onScalesKg = own.reduce((sum, { leftKg, rightKg }) => sum + (leftKg ?? 0) + (rightKg ?? 0), 0) / own.length;
      return { shareFraction: shareUnder(summary, side), handsKg: handsOf(massKg, onScalesKg), ...(isStandIn ? { isStandIn } : {}) };
    });
    return () => watchFeet(null);
  }, [readings, read, side, massKg, isStandIn, watchFeet]);
  const standIn = { massKg, guarded: side, sparedBy: SPARED_BY, noiseKg: 0.4, dropPercent: 0 };
  return (
    <Card aria-label="Weight under each foot">
      <Stack $gap={8}>
        <Row style={{ justifyContent: "space-between" }}>
          <Title>Weight under each foot</Title>
          <TextButton
            onPress={() => {
              stop();
              onClose();
            }}
          >
            put the scales away
          </TextButton>
        </Row>
        <Row $gap={8}>
          <ScaleButtons scales={scales} cable="Scales by cable" standIn={() => standInDriver(pretendedScales(() => standIn))} />
          {isStandIn && state === "listening" && <Soft>The stand-in pretends; a set keeps it as pretended.</Soft>}
        </Row>
        {scales.lacksCable && <Notice>This browser reads no cable.</Notice>}
        {(state === "lost" || state === "refused") && <Notice $tone="oxide">The scales say nothing: the cable, or their power.</Notice>}
        {now && (
          <>
            <Row style={{ justifyContent: "space-between", alignItems: "end" }}>
              <span>
                <Large aria-label={`Share of the ${side} leg`}>{share === null ? "–" : percentText(share)}</Large> on the {side} leg
              </span>
              <Soft>
                left {massText(now.leftKg ?? 0, units)}, right {massText(now.rightKg ?? 0, units)}, hands{" "}
                {massText(Math.round(handsOf(massKg, (now.leftKg ?? 0) + (now.rightKg ?? 0))), units)}
              </Soft>
            </Row>
            <Share aria-hidden>
              <i style={{ width: `${100 * (share ?? 0)}%` }} />
              {targetFraction !== null && <b style={{ left: `${100 * targetFraction}%` }} />}
            </Share>
            {targetFraction !== null && <Soft>Meant: {percentText(targetFraction)} on it.</Soft>}
          </>
        )}
      </Stack>
    </Card>
  );
}
