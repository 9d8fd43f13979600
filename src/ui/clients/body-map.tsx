"use client";
import { RadioGroup } from "react-aria-components";
import styled from "styled-components";
import type { Complaint, Site } from "../../core/limits/complaint";
import type { ChannelSide } from "../../core/mechanics/channels";
import { Choice, FieldLabel, Hint } from "../kit/fields";
import { siteName } from "../../words/client/limit";
import { capital } from "../../words/basics/words";
import { color } from "../theme/tokens";

interface Spot {
  site: Site;
  side: ChannelSide;
  /** Where it is on the drawing. */
  at: readonly [x: number, y: number];
}
const PAIRED: readonly { site: Site; x: number; y: number }[] = [
  { site: "hip", x: 12, y: 96 },
  { site: "kneecap", x: 10, y: 137 },
  { site: "knee", x: 19, y: 150 },
];
/** Drawn facing the trainer: the client's right is on the left of the drawing. */
const spotsOf = (side: "right" | "left"): Spot[] =>
  PAIRED.map(({ site, x, y }) => ({ site, side, at: [side === "right" ? 50 - x : 50 + x, y] }));
const BACK: readonly Spot[] = [
  { site: "low-back", side: "both", at: [50, 66] },
  { site: "back-bend", side: "both", at: [50, 84] },
];

const Map = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 96px minmax(0, 1fr);
  gap: 6px 10px;
  max-width: 520px;
  align-items: end;
`;
const Side = styled.div`
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding-bottom: 14px;
`;
const Middle = styled.div`
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;
const Tap = styled(Choice)`
  justify-content: center;
`;

const keyOf = ({ site, side }: Pick<Spot, "site" | "side">): string => `${site} ${side}`;
export const spotName = ({ site, side }: Pick<Complaint, "site" | "side">): string =>
  capital(side === "both" ? siteName[site] : `${side} ${siteName[site]}`);
const ALL: readonly Spot[] = [...spotsOf("right"), ...spotsOf("left"), ...BACK];

/** Where it hurts, by one tap: the site and its side at once, each with its name, so that left and right are never guessed. */
export function BodyMap({
  value,
  onChange,
}: {
  value: { site: Site; side: ChannelSide | null } | null;
  onChange: (spot: { site: Site; side: ChannelSide }) => void;
}) {
  const choose = (key: string): void => {
    const spot = ALL.find((each) => keyOf(each) === key);
    if (spot) onChange({ site: spot.site, side: spot.side });
  };
  const chosen = value && value.side !== null ? keyOf({ site: value.site, side: value.side }) : null;
  return (
    <RadioGroup value={chosen} onChange={choose}>
      <FieldLabel>Where it hurts</FieldLabel>
      <Map>
        <Side>
          {spotsOf("right").map((spot) => (
            <Tap key={keyOf(spot)} value={keyOf(spot)}>
              {spotName(spot)}
            </Tap>
          ))}
        </Side>
        <svg viewBox="0 0 100 200" width="96" height="192" aria-hidden>
          <g stroke={color.marineSoft} fill="none" strokeLinecap="round">
            <path d="M50 44V84" strokeWidth={30} stroke={color.marine} />
            <path d="M34 40L26 66L28 90M66 40L74 66L72 90" strokeWidth={8} />
            <path d="M42 92L40 140M58 92L60 140" strokeWidth={15} />
            <path d="M40 140L40 184M60 140L60 184" strokeWidth={11} stroke={color.marine} />
          </g>
          <circle cx={50} cy={16} r={12} fill={color.marine} />
          {ALL.map((spot) => (
            <g key={keyOf(spot)} onClick={() => choose(keyOf(spot))} style={{ cursor: "pointer" }}>
              <circle cx={spot.at[0]} cy={spot.at[1]} r={9} fill="transparent" />
              <circle
                cx={spot.at[0]}
                cy={spot.at[1]}
                r={keyOf(spot) === chosen ? 6 : 3.5}
                fill={keyOf(spot) === chosen ? color.brassLight : color.paper}
                stroke={color.ink}
                strokeWidth={1}
              />
            </g>
          ))}
        </svg>
        <Side>
          {spotsOf("left").map((spot) => (
            <Tap key={keyOf(spot)} value={keyOf(spot)}>
              {spotName(spot)}
            </Tap>
          ))}
        </Side>
        <Middle>
          {BACK.map((spot) => (
            <Tap key={keyOf(spot)} value={keyOf(spot)}>
              {spotName(spot)}
            </Tap>
          ))}
        </Middle>
      </Map>
      <Hint as="span">Facing you: their right is on your left.</Hint>
    </RadioGroup>
  );
}
