"use client";
import { type KeyboardEvent, type MouseEvent, useEffect, useState } from "react";
import { FileTrigger } from "react-aria-components";
import styled from "styled-components";
import { anglesFrom, PHOTO_POINTS, type PhotoAngles, type PhotoPoint, type PicturePoint } from "../../core/assess/photo";
import { Button } from "../kit/button";
import { Row, Soft, Stack } from "../kit/layout";
import { angleText } from "../../words/basics/quantity";
import { color, size } from "../theme/tokens";

const Frame = styled.div`
  position: relative;
  display: inline-block;
  max-width: 100%;
  line-height: 0;
  img,
  video {
    max-width: 100%;
    max-height: 62vh;
  }
`;
/** Over the picture, under the points: where a tap lands. A video keeps its own controls below it. */
const Over = styled.div<{ $isVideo: boolean }>`
  position: absolute;
  inset: 0 0 ${({ $isVideo }) => ($isVideo ? "64px" : "0")} 0;
  cursor: crosshair;
`;
const Dot = styled.button`
  position: absolute;
  width: 22px;
  height: 22px;
  margin: -11px 0 0 -11px;
  border: 3px solid ${color.brassLight};
  border-radius: 50%;
  background: rgb(15 42 61 / 0.35);
  cursor: grab;
`;
const Line = styled.svg`
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
`;

/** Those that may be left out. */
const OPTIONAL: readonly PhotoPoint[] = ["shoulder", "heel", "toe"];
const KEYS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface Picture {
  url: string;
  isVideo: boolean;
}

/**
 * Shin, knee and trunk from a side picture, or a frame of a video, by taps on ankle, knee, hip and shoulder. It is shown
 * from the tablet's own memory and goes nowhere.
 */
export function PhotoAngles({ onUse }: { onUse: (angles: PhotoAngles) => void }) {
  const [picture, setPicture] = useState<Picture | null>(null);
  const [points, setPoints] = useState<Partial<Record<PhotoPoint, PicturePoint>>>({});
  useEffect(() => () => (picture ? URL.revokeObjectURL(picture.url) : undefined), [picture]);
  const [leftOut, setLeftOut] = useState<readonly PhotoPoint[]>([]);
  const next = PHOTO_POINTS.find((name) => points[name] === undefined && !leftOut.includes(name)) ?? null;
  const angles = anglesFrom(points);
  const tap = (event: MouseEvent<HTMLDivElement>): void => {
    if (!next) return;
    const { left, top } = event.currentTarget.getBoundingClientRect();
    setPoints({ ...points, [next]: { x: event.clientX - left, y: event.clientY - top } });
  };
  const nudge = (name: PhotoPoint, event: KeyboardEvent): void => {
    const by = KEYS[event.key];
    const at = points[name];
    if (!by || !at) return;
    event.preventDefault();
    setPoints({ ...points, [name]: { x: at.x + by[0], y: at.y + by[1] } });
  };
  const lines = [PHOTO_POINTS.slice(0, 4), PHOTO_POINTS.slice(4)].map((names) => names.flatMap((name) => points[name] ?? []));
  const anew = (): void => {
    setPoints({});
    setLeftOut([]);
  };
  return (
    <Stack>
      <Row>
        <FileTrigger
          acceptedFileTypes={["image/*", "video/*"]}
          onSelect={(files) => {
            const file = files?.[0];
            if (!file) return;
            setPicture({ url: URL.createObjectURL(file), isVideo: file.type.startsWith("video/") });
            anew();
          }}
        >
          <Button>{picture ? "Another picture" : "Take or choose a side picture"}</Button>
        </FileTrigger>
        <Soft>Held level, from the side. It stays on this tablet.</Soft>
      </Row>
      {picture && (
        <>
          <p aria-live="polite">
            {next ? `Tap the ${next}${OPTIONAL.includes(next) ? ", or leave it out" : ""}.` : "Move a point with the arrow keys."}
            {picture.isVideo && " Stop the video at the lowest point first."}
          </p>
          <Frame>
            {picture.isVideo ? (
              <video src={picture.url} controls muted playsInline />
            ) : (
              // oxlint-disable-next-line nextjs/no-img-element -- from the tablet's memory: there is nothing to optimise
              <img src={picture.url} alt="The client from the side" />
            )}
            <Over $isVideo={picture.isVideo} onClick={tap} data-testid="picture">
              <Line aria-hidden>
                {lines.map((line, i) => (
                  <polyline
                    key={i}
                    points={line.map(({ x, y }) => `${x},${y}`).join(" ")}
                    fill="none"
                    stroke={color.brassLight}
                    strokeWidth={3}
                  />
                ))}
              </Line>
              {PHOTO_POINTS.map((name) => {
                const at = points[name];
                return (
                  at && (
                    <Dot
                      key={name}
                      type="button"
                      aria-label={`Point of the ${name}`}
                      style={{ left: at.x, top: at.y }}
                      onClick={(event) => event.stopPropagation()}
                      onKeyDown={(event) => nudge(name, event)}
                    />
                  )
                );
              })}
            </Over>
          </Frame>
          {angles && (
            <p role="status">
              Shin {angleText(angles.shankLeanDeg)} forward, knee {angleText(angles.kneeFlexionDeg)}
              {angles.trunkLeanDeg !== null && `, trunk ${angleText(angles.trunkLeanDeg)} forward`}
              {angles.hipFlexionDeg !== null && `, hip ${angleText(angles.hipFlexionDeg)}`}
              {angles.footLineDeg !== null && `, foot ${angleText(angles.footLineDeg)} heel up`}. Within about 2°.
            </p>
          )}
          <Row style={{ minHeight: size.target }}>
            {next && OPTIONAL.includes(next) && <Button onPress={() => setLeftOut([...leftOut, next])}>Leave the {next} out</Button>}
            <Button onPress={anew}>Points anew</Button>
            {angles && (
              <Button $tone="primary" onPress={() => onUse(angles)}>
                Use these
              </Button>
            )}
          </Row>
        </>
      )}
    </Stack>
  );
}
