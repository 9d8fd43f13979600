"use client";
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { arrayMove, SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { ArrowDown, ArrowUp, GripVertical } from "lucide-react";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import { itemS, type SessionItem } from "../../core/session/session";
import type { UnitSystem } from "../../core/units";
import { Button, TextButton } from "../kit/button";
import { Soft } from "../kit/layout";
import { settingText } from "../text/lever-text";
import { itemDoseText, partName, tempoText } from "../text/plan-text";
import { secondsText } from "../text/quantity-text";
import { color, font, media, size } from "../theme/tokens";

const Line = styled.li<{ $held: boolean }>`
  display: grid;
  grid-template-columns: 44px minmax(0, 2fr) minmax(0, 1fr) 62px auto;
  gap: 4px 10px;
  align-items: center;
  min-height: 56px;
  padding: 5px 10px 5px 0;
  border: ${({ $held }) => ($held ? `2px solid ${color.marine}` : `1px solid ${color.fogDeep}`)};
  border-radius: ${size.radius};
  background: ${color.paper};
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
  before,
  units,
  onMove,
  onDrop,
}: {
  item: SessionItem;
  index: number;
  count: number;
  before: SessionItem | undefined;
  units: UnitSystem;
  onMove: (from: number, to: number) => void;
  onDrop: () => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: item.id });
  const row = variationById(item.variationId);
  return (
    <Line
      ref={setNodeRef}
      $held={isDragging}
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
        </Soft>
      </span>
      <span className="dose">
        {itemDoseText(item)}
        <br />
        <Soft>{tempoText(item.dose, row.startsBy)}</Soft>
      </span>
      <span className="minutes">{secondsText(itemS(item, before))}</span>
      <Moves>
        <Button $tight aria-label={`${row.name} earlier`} isDisabled={index === 0} onPress={() => onMove(index, index - 1)}>
          <ArrowUp size={16} aria-hidden />
        </Button>
        <Button $tight aria-label={`${row.name} later`} isDisabled={index === count - 1} onPress={() => onMove(index, index + 1)}>
          <ArrowDown size={16} aria-hidden />
        </Button>
        <TextButton aria-label={`Leave out ${row.name}`} isDisabled={count === 1} onPress={onDrop}>
          leave out
        </TextButton>
      </Moves>
    </Line>
  );
}

/** The session in its order: dragged by mouse or finger, by keyboard on its grip, or moved by one with the arrows. */
export function SessionList({
  items,
  units,
  onChange,
}: {
  items: readonly SessionItem[];
  units: UnitSystem;
  onChange: (items: SessionItem[]) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const move = (from: number, to: number): void => onChange(arrayMove([...items], from, to));
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
              before={items[i - 1]}
              units={units}
              onMove={move}
              onDrop={() => onChange(items.filter((other) => other !== item))}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}
