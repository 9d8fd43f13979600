"use client";
import { createContext, type ReactNode, useContext } from "react";
import { Dialog, DialogTrigger, Heading, Modal, ModalOverlay, Popover } from "react-aria-components";
import styled from "styled-components";
import { color, size } from "../theme/tokens";
import { TextButton } from "./button";
import { Link } from "./link";

const Bubble = styled(Popover)`
  max-width: min(440px, 92vw);
  border: 1px solid ${color.marine};
  border-radius: ${size.radius};
  background: ${color.paper};
  box-shadow: 0 8px 28px rgb(15 42 61 / 0.22);
`;
const Inside = styled(Dialog)`
  max-height: 70vh;
  padding: 16px;
  overflow: auto;
  outline: none;
  h3 {
    margin-bottom: 8px;
    font-size: 17px;
  }
  li,
  p {
    margin-bottom: 6px;
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 4px 14px;
  }
  dt {
    color: ${color.inkSoft};
  }
`;

/** Where the body model shows what a page is about: every why on it links there. Null where there is none. */
const ModelLink = createContext<string | null>(null);
export const ModelLinked = ({ href, children }: { href: string; children: ReactNode }) => (
  <ModelLink.Provider value={href}>{children}</ModelLink.Provider>
);

/** Any number can be asked why: a small link that opens the reasons and the figures behind it. */
export function Why({ title, children, label = "why", about }: { title: string; children: ReactNode; label?: ReactNode; about?: string }) {
  const model = useContext(ModelLink);
  return (
    <DialogTrigger>
      <TextButton {...(about ? { "aria-label": about } : {})}>{label}</TextButton>
      <Bubble>
        <Inside>
          <Heading slot="title" level={3}>
            {title}
          </Heading>
          {children}
          {model && <Link href={model}>In the body model</Link>}
        </Inside>
      </Bubble>
    </DialogTrigger>
  );
}

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 10;
  display: grid;
  place-items: center;
  padding: 16px;
  background: rgb(15 42 61 / 0.55);
`;
const Sheet = styled(Modal)`
  width: min(560px, 100%);
  border-radius: ${size.radius};
  background: ${color.paper};
`;

/** A question that must be answered before going on. */
export function Ask(props: { title: string; isOpen: boolean; onClose: () => void; children: ReactNode }) {
  return (
    <Veil isOpen={props.isOpen} onOpenChange={(isOpen) => !isOpen && props.onClose()} isDismissable>
      <Sheet>
        <Inside>
          <Heading slot="title" level={3}>
            {props.title}
          </Heading>
          {props.children}
        </Inside>
      </Sheet>
    </Veil>
  );
}
