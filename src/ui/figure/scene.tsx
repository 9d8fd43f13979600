"use client";
import type { SceneProp } from "../../core/templates/scene";
import { kgfFromN, type UnitSystem } from "../../core/units";
import { handText, massText } from "../../words/basics/quantity";
import { color, font } from "../theme/tokens";
import { HALO, SMALL } from "./body-parts";
import { type Spot, spot } from "./drawing";

/** The drawing kit: everything that stands around a body, from the same data in every template. Centimetres, y down. */
const SEAT_AHEAD = 8;
export const SEAT_BEHIND = 30;

function Seat({ topY, hipX, floorY }: { topY: number; hipX: number; floorY: number }) {
  const [left, right] = [hipX - SEAT_BEHIND, hipX + SEAT_AHEAD];
  return (
    <g>
      <rect x={left + 3} y={topY + 6} width={3.5} height={floorY - topY - 6} fill={color.wood} />
      <rect x={right - 6.5} y={topY + 6} width={3.5} height={floorY - topY - 6} fill={color.wood} />
      <rect x={left} y={topY} width={right - left} height={4} rx={1.5} fill={color.woodLight} stroke={color.wood} strokeWidth={0.5} />
      <rect x={left} y={topY + 4} width={right - left} height={3} fill={color.wood} />
    </g>
  );
}

function Line({ from, to, isBand }: { from: Spot; to: Spot; isBand: boolean }) {
  return (
    <g stroke={isBand ? color.oxide : color.brass} strokeWidth={isBand ? 2.6 : 1.8} strokeLinecap="round">
      <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} {...(isBand ? { strokeDasharray: "5 2" } : {})} />
      <circle cx={to[0]} cy={to[1]} r={2.2} fill={color.paper} />
    </g>
  );
}

/** A force on the client, its length by its size. */
export function ForceArrow(props: { at: Spot; fxN: number; fyN: number; units: UnitSystem; word?: string; turnedDeg?: number }) {
  const { at, fxN, fyN, units, word, turnedDeg = 0 } = props;
  const sizeN = Math.hypot(fxN, fyN);
  const length = 8 + Math.min(60, kgfFromN(sizeN) * 1.3);
  const angleDeg = sizeN > 0 ? (Math.atan2(-fyN, fxN) * 180) / Math.PI : -90;
  const isLevel = Math.abs(fxN) > Math.abs(fyN);
  const [labelX, labelY] = isLevel ? [at[0] + Math.sign(fxN) * (length + 4), at[1] + 3] : [at[0] + 8, at[1] - length / 2];
  return (
    <g>
      <g transform={`translate(${at[0]} ${at[1]}) rotate(${angleDeg})`}>
        <path d={`M0 0 H${length - 3} M${length - 6} -4 L${length} 0 L${length - 6} 4`} stroke={color.moss} strokeWidth={2.4} fill="none" />
      </g>
      <text
        x={labelX}
        y={labelY}
        transform={`rotate(${turnedDeg} ${labelX} ${labelY})`}
        fontSize={8.4}
        fontWeight={700}
        fill={color.moss}
        fontFamily={font.head}
        textAnchor={isLevel && fxN < 0 ? "end" : "start"}
        {...HALO}
      >
        {sizeN > 0 ? handText(sizeN, units) : "hands free"}
      </text>
      {word && (
        <text x={labelX} y={labelY + 8} fontSize={SMALL} fill={color.inkSoft} {...HALO}>
          {word}
        </text>
      )}
    </g>
  );
}

export function LoadMark({ at, massKg, units }: { at: Spot; massKg: number; units: UnitSystem }) {
  const radius = 4 + Math.min(9, Math.sqrt(massKg) * 1.3);
  return (
    <g>
      <circle cx={at[0]} cy={at[1]} r={radius} fill={color.brass} stroke={color.paper} strokeWidth={1} />
      <text x={at[0] + radius + 3} y={at[1] + 2} fontSize={SMALL} fontWeight={700} fill={color.brass} {...HALO}>
        {massText(massKg, units)}
      </text>
    </g>
  );
}

interface Around {
  floorY: number;
  topY: number;
  units: UnitSystem;
  /** How far the whole picture is turned, so that words can be turned back. */
  turnedDeg?: number;
}

function Prop({ prop, floorY, topY, units, turnedDeg = 0 }: Around & { prop: SceneProp }) {
  switch (prop.kind) {
    case "seat":
      return <Seat topY={-prop.heightM * 100} hipX={prop.underXM * 100} floorY={floorY} />;
    case "step":
      return <rect x={-12} y={0} width={48} height={prop.heightM * 100} fill={color.woodLight} stroke={color.wood} strokeWidth={0.6} />;
    case "block": {
      const [x, y] = [(prop.atXM - prop.widthM / 2) * 100, -prop.topM * 100];
      return (
        <g>
          <rect x={x} y={y} width={prop.widthM * 100} height={Math.max(0, floorY - y)} fill={color.woodLight} />
          <rect x={x} y={y} width={prop.widthM * 100} height={4} rx={1} fill={color.wood} />
        </g>
      );
    }
    case "wall":
      return <rect x={prop.xM > 0 ? prop.xM * 100 : prop.xM * 100 - 12} y={topY} width={12} height={floorY - topY} fill={color.fogDeep} />;
    case "ball":
      return (
        <circle cx={prop.at[0] * 100} cy={-prop.at[1] * 100} r={prop.radiusM * 100} fill="#e4ebe6" stroke={color.moss} strokeWidth={1.2} />
      );
    case "pole":
      return <line x1={prop.xM * 100} x2={prop.xM * 100} y1={0} y2={-125} stroke={color.brass} strokeWidth={2.6} strokeLinecap="round" />;
    case "wedge": {
      const [heel, toe] = [prop.heelXM * 100, prop.ballXM * 100];
      const rise = (toe - heel) * Math.tan((prop.pitchDeg * Math.PI) / 180);
      return <path d={`M${heel} 0 L${heel} ${-rise} L${toe} 0 Z`} fill={color.wood} />;
    }
    case "strap":
    case "band":
      return <Line from={spot(prop.from)} to={spot(prop.to)} isBand={prop.kind === "band"} />;
    case "pad": {
      const [a, b] = [spot(prop.from), spot(prop.to)];
      return <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke={color.wood} strokeWidth={5} strokeLinecap="round" />;
    }
    case "plate": {
      const [x, y] = spot(prop.at);
      return <rect x={x - 16} y={y + 7} width={48} height={5} rx={1} fill={color.wood} />;
    }
    case "load":
      return <LoadMark at={spot(prop.at)} massKg={prop.massKg} units={units} />;
    case "force":
      return <ForceArrow at={spot(prop.at)} fxN={prop.fxN} fyN={prop.fyN} units={units} turnedDeg={turnedDeg} />;
  }
}

const IN_FRONT: readonly SceneProp["kind"][] = ["load", "force", "strap", "band"];

/** Everything of a scene that is behind the body, or in front of it. */
export function Scene(props: Around & { scene: readonly SceneProp[]; layer: "behind" | "front" }) {
  const { scene, layer, ...around } = props;
  const shown = scene.filter(({ kind }) => IN_FRONT.includes(kind) === (layer === "front"));
  return (
    <g pointerEvents={layer === "front" ? "none" : undefined}>
      {shown.map((prop, i) => (
        <Prop key={i} prop={prop} {...around} />
      ))}
    </g>
  );
}

/** The floor, from edge to edge. */
export const Floor = ({ y }: { y: number }) => (
  <g>
    <rect x={-600} y={y} width={1200} height={80} fill="#dfe7e6" />
    <line x1={-600} x2={600} y1={y} y2={y} stroke="#8fa3ab" strokeWidth={0.8} />
  </g>
);
