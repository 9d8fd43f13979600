"use client";
import styled from "styled-components";
import type { BodyPlace, Told } from "../../../core/floor/told";
import type { ChannelSide } from "../../../core/mechanics/channels";
import { placeName } from "../../../words/training/floor";
import { color } from "../../theme/tokens";

type Place = NonNullable<Told["painPlace"]>;
/** Where each place lies: from the middle line, and from the top of the head; a place on the middle line has no side. */
const FRONT: readonly [BodyPlace, x: number, y: number][] = [
  ["shoulder", 17, 26],
  ["belly", 0, 52],
  ["groin", 8, 66],
  ["side-hip", 21, 62],
  ["front-thigh", 17, 80],
  ["inner-knee", 11, 97],
  ["kneecap", 22, 100],
  ["outer-knee", 33, 97],
  ["shin", 24, 116],
  ["ankle", 26, 132],
];
const BACK: readonly [BodyPlace, x: number, y: number][] = [
  ["upper-back", 0, 34],
  ["low-back", 0, 52],
  ["buttock", 10, 66],
  ["back-thigh", 17, 82],
  ["behind-knee", 22, 100],
  ["calf", 24, 116],
  ["heel", 26, 132],
];
const [WIDTH, HEIGHT] = [100, 142];

const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  figcaption {
    color: ${color.inkSoft};
    text-align: center;
  }
`;
const Body = styled.div`
  position: relative;
  aspect-ratio: ${WIDTH} / ${HEIGHT};
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
`;
const Spot = styled.button<{ $picked: boolean }>`
  position: absolute;
  width: 32px;
  height: 32px;
  border: 2px solid ${({ $picked }) => ($picked ? color.oxide : color.marineSoft)};
  border-radius: 50%;
  background: ${({ $picked }) => ($picked ? color.oxide : color.paper)};
  transform: translate(-50%, -50%);
  cursor: pointer;
  touch-action: manipulation;
`;

function Outline() {
  return (
    <svg viewBox={`${-WIDTH / 2} 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
      <g stroke={color.fogDeep} strokeLinecap="round" strokeLinejoin="round" fill="none">
        <circle cx={0} cy={11} r={9} fill={color.fogDeep} stroke="none" />
        <path d="M0 30 V58" strokeWidth={27} />
        <path d="M-14 26 L-30 46 L-36 66 M14 26 L30 46 L36 66" strokeWidth={8} />
        <path d="M-10 64 L-22 98 L-26 134 M10 64 L22 98 L26 134" strokeWidth={15} />
        <path d="M-26 136 h-8 M26 136 h8" strokeWidth={7} />
      </g>
    </svg>
  );
}

/** A body from the front and from behind: one tap says where it hurt, and on which side. */
export function BodyOutline({ value, onPick }: { value: Place | null; onPick: (place: Place) => void }) {
  const view = (spots: typeof FRONT, isFront: boolean) => (
    <figure>
      <Body>
        <Outline />
        {spots.flatMap(([place, x, y]) =>
          (x === 0 ? [0] : [-1, 1]).map((way) => {
            // seen from the front, the right is on the left of the drawing
            const side: ChannelSide = way === 0 ? "both" : way < 0 === isFront ? "right" : "left";
            return (
              <Spot
                key={`${place} ${side}`}
                type="button"
                $picked={value?.place === place && value.side === side}
                aria-label={placeName(place, side)}
                aria-pressed={value?.place === place && value.side === side}
                title={placeName(place, side)}
                style={{ left: `${50 + way * x * (100 / WIDTH)}%`, top: `${(y / HEIGHT) * 100}%` }}
                onClick={() => onPick({ place, side })}
              />
            );
          }),
        )}
      </Body>
      <figcaption>{isFront ? "from the front: right is on the left" : "from behind: right is on the right"}</figcaption>
    </figure>
  );
  return (
    <Two role="group" aria-label="Where on the body">
      {view(FRONT, true)}
      {view(BACK, false)}
    </Two>
  );
}
