"use client";
import { type ReactNode, useRef } from "react";
import { mergeProps, useFocusRing, useMove } from "react-aria";
import { color } from "../theme/tokens";

/** A lever held by its place on the figure: drag it up or down, or use the arrow keys. */
export function LeverHandle(props: {
  label: string;
  value: number;
  valueText: string;
  min: number;
  max: number;
  /** Lever change for one drawing unit moved up. */
  perUnitUp: number;
  increment: number;
  onChange: (value: number) => void;
  at: { x: number; y: number; width: number; height: number };
  children: ReactNode;
}) {
  const { label, value, min, max, perUnitUp, increment, onChange, at } = props;
  const ref = useRef<SVGGElement>(null);
  const held = useRef(value);
  const clamp = (wanted: number): number => Math.min(max, Math.max(min, wanted));
  const { moveProps } = useMove({
    onMoveStart: () => {
      held.current = value;
    },
    onMove: ({ deltaX, deltaY, pointerType }) => {
      if (pointerType === "keyboard") {
        onChange(clamp(value + Math.sign(deltaX - deltaY) * increment));
        return;
      }
      const pixelsPerUnit = ref.current?.ownerSVGElement?.getScreenCTM()?.a ?? 1;
      held.current += (-deltaY / pixelsPerUnit) * perUnitUp;
      onChange(clamp(Math.round(held.current / increment) * increment));
    },
  });
  const { focusProps, isFocusVisible } = useFocusRing();
  return (
    <g
      ref={ref}
      {...mergeProps(moveProps, focusProps)}
      role="slider"
      tabIndex={0}
      aria-label={`${label} on the figure`}
      aria-orientation="vertical"
      aria-valuemin={min}
      aria-valuemax={max}
      aria-valuenow={value}
      aria-valuetext={props.valueText}
      style={{ cursor: "ns-resize", touchAction: "none", outline: "none" }}
    >
      <rect {...at} fill="transparent" stroke={isFocusVisible ? color.brass : "none"} strokeWidth={1.2} rx={2} />
      {props.children}
    </g>
  );
}
