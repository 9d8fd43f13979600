"use client";
import { useState } from "react";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import type { Day } from "../../core/day";
import type { NeedGroup } from "../../core/studio/needs";
import type { UnitSystem } from "../../core/units";
import { TextButton } from "../kit/button";
import { Card, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { changeText } from "../../words/basics/lever";
import { needStation, needText, needTitle } from "../../words/client/need";
import { color } from "../theme/tokens";
import type { Waiting } from "./today-rows";
import { WhenTold } from "./when-told";

const Kind = styled.section<{ $isStop: boolean }>`
  padding-top: 10px;
  border-top: 1px solid ${color.fogDeep};
  &:first-of-type {
    border: 0;
  }
  h3 {
    font-size: 16px;
    color: ${({ $isStop }) => ($isStop ? color.oxide : color.ink)};
  }
  li + li {
    margin-top: 6px;
  }
`;
/** So many of one kind in view; the rest one tap away. */
const SHOWN = 3;

function Needy({
  asks: { id, name, need },
  waiting,
  today,
  units,
}: {
  asks: NeedGroup["first"][number];
  waiting: Promise<Waiting | null> | undefined;
  today: Day;
  units: UnitSystem;
}) {
  const { path, words } = needStation[need.code];
  return (
    <li>
      <strong>{name}</strong>{" "}
      <WhenTold told={need.code === "decision-waits" ? waiting : undefined} meanwhile={needText(need, today, units)}>
        {({ builds }) => builds.length > 0 && `has earned a build: ${builds.map((build) => buildText(build, units)).join("; ")}.`}
      </WhenTold>{" "}
      <Link href={`/clients/${id}/${path}`} aria-label={`${words}: ${name}, ${needTitle[need.code].toLowerCase()}`}>
        {words}
      </Link>
    </li>
  );
}
const buildText = ({ variationId, toVariationId, change }: Waiting["builds"][number], units: UnitSystem): string =>
  `${variationById(variationId).name}, ${changeText(change, variationById(toVariationId).name, units)}`;

function Group({ code, count, children }: Pick<NeedGroup, "code" | "count"> & { children: readonly React.ReactNode[] }) {
  const [isOpen, setOpen] = useState(false);
  const [more, unnamed] = [children.length - SHOWN, count - children.length];
  return (
    <Kind $isStop={code === "warning"} aria-label={needTitle[code]}>
      <h3>
        {needTitle[code]}
        {count > 1 && `: ${count}`}
      </h3>
      <ul>{isOpen ? children : children.slice(0, SHOWN)}</ul>
      {more > 0 && <TextButton onPress={() => setOpen(!isOpen)}>{isOpen ? "Fewer" : `${more} more`}</TextButton>}
      {isOpen && unnamed > 0 && <Soft>and {unnamed} more, under Clients.</Soft>}
    </Kind>
  );
}

/** What asks for an eye before anybody comes: the kinds in the order of need, each client one tap from the answer. */
export function NeedsCard(props: {
  groups: readonly NeedGroup[];
  waiting: Readonly<Record<string, Promise<Waiting | null>>>;
  today: Day;
  units: UnitSystem;
}) {
  const { groups, waiting, today, units } = props;
  return (
    <Card aria-label="Before they come">
      <Stack $gap={10}>
        <Title>Before they come</Title>
        {groups.length === 0 && <Soft>Nothing asks for an eye: no sign, no flare, every morning told.</Soft>}
        {groups.map(({ code, count, first }) => (
          <Group key={code} code={code} count={count}>
            {first.map((asks, i) => (
              <Needy key={`${asks.id} ${i}`} asks={asks} waiting={waiting[asks.id]} today={today} units={units} />
            ))}
          </Group>
        ))}
      </Stack>
    </Card>
  );
}
