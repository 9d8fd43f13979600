"use client";
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { ArrowDown, ArrowUp, GripVertical } from "lucide-react";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import { lengthsS, moved, paired, type SessionItem, without } from "../../core/session/session";
import type { UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { Soft } from "../kit/layout";
import { MoreMenu } from "../kit/menu";
import { settingText, unlikeSetsText } from "../../words/basics/lever";
import { elsewhereText, itemDoseText, partName, tempoText } from "../../words/training/plan";
import { secondsText } from "../../words/basics/quantity";
import { color, font, media, size } from "../theme/tokens";

const Line = styled.li<{ $held: boolean; $inTurn: boolean; $waits: boolean }>`
  display: grid;
  grid-template-columns: 44px minmax(0, 2fr) minmax(0, 1fr) 62px auto;
  gap: 4px 10px;
  align-items: center;
  min-height: 56px;
  padding: 5px 10px 5px 0;
  border: ${({ $held }) => ($held ? `2px solid ${color.marine}` : `1px solid ${color.fogDeep}`)};
  border-radius: ${size.radius};
  background: ${({ $waits }) => ($waits ? color.bone : color.paper)};
  ${({ $inTurn }) => $inTurn && `margin-bottom: -6px; border-bottom-style: dashed;`}
  strong {
    font-family: ${font.head};
  }
  .minutes {
    font-weight: 700;
    text-align: right;
    font-variant-numeric: tabular-nums;
  }
  ${media.phone} {
    grid-template-columns: 44px minmax(0, 1fr) auto;
    .dose,
    .minutes {
      grid-column: 2;
      text-align: left;
    }
  }
`;
const Grip = styled.button`
  display: grid;
  place-items: center;
  min-width: 44px;
  min-height: 44px;
  border: 0;
  background: none;
  color: ${color.inkSoft};
  cursor: grab;
  touch-action: none;
`;
const Moves = styled.div`
  display: flex;
  align-items: center;
  gap: 2px;
`;

function ItemLine({
  item,
  index,
  count,
  lengthS,
  isWaiting,
  units,
  onMove,
  actions,
}: {
  item: SessionItem;
  index: number;
  count: number;
  lengthS: number;
  isWaiting: boolean;
  units: UnitSystem;
  onMove: (from: number, to: number) => void;
  actions: readonly { name: string; act: () => void }[];
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: item.id });
  const row = variationById(item.variationId);
  return (
    <Line
      ref={setNodeRef}
      $held={isDragging}
      $inTurn={item.pairedWithNext === true}
      $waits={isWaiting}
      style={{ transform: transform ? `translate(0, ${transform.y}px)` : undefined, transition, zIndex: isDragging ? 2 : undefined }}
    >
      <Grip type="button" aria-label={`Move ${row.name}`} {...attributes} {...listeners}>
        <GripVertical size={20} aria-hidden />
      </Grip>
      <span>
        <strong>{row.name}</strong>
        <br />
        <Soft>
          {partName(item.part)}
          {settingText(item.setting, units) && `; ${settingText(item.setting, units)}`}
          {elsewhereText(item, units) && `; ${elsewhereText(item, units)}`}
          {item.pairedWithNext && "; in turn with the next, rest after both"}
          {isWaiting && "; opens when those above are easy"}
        </Soft>
      </span>
      <span className="dose">
        {itemDoseText(item)}
        {unlikeSetsText(item.dose, units)}
        <br />
        <Soft>{tempoText(item.dose, row.startsBy)}</Soft>
      </span>
      <span className="minutes">{isWaiting ? "" : secondsText(lengthS)}</span>
      <Moves>
        <Button $tight aria-label={`${row.name} earlier`} isDisabled={index === 0} onPress={() => onMove(index, index - 1)}>
          <ArrowUp size={16} aria-hidden />
        </Button>
        <Button $tight aria-label={`${row.name} later`} isDisabled={index === count - 1} onPress={() => onMove(index, index + 1)}>
          <ArrowDown size={16} aria-hidden />
        </Button>
        <MoreMenu label={`More for ${row.name}`} actions={actions} />
      </Moves>
    </Line>
  );
}

/** The session in its order: dragged by mouse or finger, by keyboard on its grip, or moved by one with the arrows. */
export function SessionList({
  items,
  waitingItems,
  units,
  onChange,
  onNotReady,
}: {
  items: readonly SessionItem[];
  /** Those of them that are not opened yet. */
  waitingItems: readonly SessionItem[];
  units: UnitSystem;
  onChange: (items: SessionItem[]) => void;
  onNotReady: (item: SessionItem) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const move = (from: number, to: number): void => onChange(moved(items, from, to));
  const lengths = lengthsS(items);
  const actionsOf = (item: SessionItem, i: number): { name: string; act: () => void }[] => [
    ...(items.length > 1
      ? [
          { name: "Leave out", act: () => onChange(without(items, item)) },
          { name: "Not ready: again in a week", act: () => onNotReady(item) },
        ]
      : []),
    ...(i + 1 < items.length
      ? [
          {
            name: item.pairedWithNext ? "No longer in turn" : "In turn with the next",
            act: () => onChange(paired(items, i, !item.pairedWithNext)),
          },
        ]
      : []),
    ...(i > 0
      ? [
          {
            name: item.waits ? "Open it now" : "Wait until those above are easy",
            act: () =>
              onChange(
                items.map((each) => {
                  if (each !== item) return each;
                  const { waits, ...rest } = each;
                  return waits ? rest : { ...rest, waits: true };
                }),
              ),
          },
        ]
      : []),
  ];
  return (
    <DndContext
      id="session"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        const [from, to] = [active.id, over?.id].map((id) => items.findIndex((item) => item.id === id));
        if (from !== undefined && to !== undefined && from >= 0 && to >= 0 && from !== to) move(from, to);
      }}
    >
      <SortableContext items={items.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ol aria-label="Session" style={{ display: "grid", gap: 5, margin: 0, padding: 0, listStyle: "none" }}>
          {items.map((item, i) => (
            <ItemLine
              key={item.id}
              item={item}
              index={i}
              count={items.length}
              lengthS={lengths[i] ?? 0}
              isWaiting={waitingItems.includes(item)}
              units={units}
              onMove={move}
              actions={actionsOf(item, i)}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}
