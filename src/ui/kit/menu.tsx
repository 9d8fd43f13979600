"use client";
import { Ellipsis } from "lucide-react";
import { Button as AriaButton, Menu, MenuItem, MenuTrigger, Popover } from "react-aria-components";
import styled from "styled-components";
import { popover, popoverLine } from "./popover";
import { color, size } from "../theme/tokens";

const Dots = styled(AriaButton)`
  display: grid;
  place-items: center;
  min-width: ${size.target};
  min-height: ${size.target};
  border: 0;
  background: none;
  color: ${color.ink};
  cursor: pointer;
`;
const Sheet = styled(Popover)`
  ${popover}
  min-width: 220px;
`;
const Item = styled(MenuItem)`
  ${popoverLine}
`;

/** What else can be done with one thing. */
export function MoreMenu({ label, actions }: { label: string; actions: readonly { name: string; act: () => void }[] }) {
  return (
    <MenuTrigger>
      <Dots aria-label={label}>
        <Ellipsis size={20} aria-hidden />
      </Dots>
      <Sheet>
        <Menu aria-label={label} onAction={(key) => actions.find(({ name }) => name === key)?.act()}>
          {actions.map(({ name }) => (
            <Item key={name} id={name}>
              {name}
            </Item>
          ))}
        </Menu>
      </Sheet>
    </MenuTrigger>
  );
}
