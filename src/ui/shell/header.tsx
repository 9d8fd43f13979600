"use client";
import type { UnitSystem } from "../../core/units";
import { usePathname } from "next/navigation";
import { type ReactNode, useTransition } from "react";
import styled from "styled-components";
import { setUnitsAction, signOutAction } from "../../actions/account";
import { TextButton } from "../kit/button";
import { Link } from "../kit/link";
import type { Owner } from "../../outbox/floor/event-store";
import { entriesText, OutboxBar } from "../outbox/outbox-bar";
import { useOutbox } from "../outbox/use-outbox";
import { color, font, media } from "../theme/tokens";
import { KeepOffline } from "./keep-offline";
import { KeysHelp } from "./keys-help";

const Bar = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 22px;
  min-height: 52px;
  padding: 0 18px;
  background: ${color.marine};
  color: ${color.paper};
  ${media.phone} {
    padding-top: 8px;
  }
`;
const Brand = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: 10px;
  font: 700 19px ${font.head};
  font-stretch: 112%;
  text-decoration: none;
`;
const Who = styled.h1`
  padding-left: 20px;
  border-left: 1px solid ${color.marineSoft};
  font-size: 17px;
  small {
    margin-left: 8px;
    color: ${color.fogDeep};
    font: 400 15px ${font.text};
  }
  ${media.phone} {
    border: 0;
    padding: 0;
    width: 100%;
  }
`;
const Stations = styled.nav`
  display: flex;
  flex-wrap: wrap;
  margin-left: auto;
  a {
    display: inline-flex;
    align-items: center;
    min-height: 52px;
    padding: 0 13px;
    border-bottom: 4px solid transparent;
    color: ${color.fogDeep};
    text-decoration: none;
  }
  a[aria-current="page"] {
    border-color: ${color.brassLight};
    color: ${color.paper};
    font-weight: 700;
  }
`;
const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  color: ${color.fogDeep};
  a {
    color: inherit;
  }
`;

function Mark() {
  return (
    <svg width="34" height="22" viewBox="0 0 34 22" aria-hidden>
      <path d="M1 9 33 4" stroke={color.brassLight} strokeWidth="2.2" strokeLinecap="round" />
      <circle cx="11" cy="3.6" r="2.4" fill="none" stroke="#fff" strokeWidth="1.8" />
      <path d="M11 8v13" stroke="#fff" strokeWidth="2.4" strokeLinecap="round" />
      <rect x="20" y="8" width="6.5" height="9" rx="1.4" fill="#fff" />
    </svg>
  );
}

const STATIONS = [
  { path: "screen", name: "Screen" },
  { path: "assess", name: "Assess" },
  { path: "limits", name: "Limits" },
  { path: "fit", name: "Fit" },
  { path: "plan", name: "Plan" },
  { path: "floor", name: "Floor" },
  { path: "morning", name: "Morning" },
  { path: "review", name: "Review" },
] as const;

/** The top of every page: whose it is, and the stations in working order. */
export function Header({
  units,
  owner,
  client,
  tools,
}: {
  units: UnitSystem;
  owner: Owner;
  client?: { id: string; name: string; line: string };
  tools?: ReactNode;
}) {
  const path = usePathname();
  const { atRisk } = useOutbox(owner).state;
  const [isChanging, change] = useTransition();
  const other: UnitSystem = units === "metric" ? "imperial" : "metric";
  return (
    <>
      <Bar>
        <Brand href="/" aria-label="Ponderis, today">
          <Mark />
          Ponderis
        </Brand>
        {client && (
          <Who>
            {client.name}
            <small>{client.line}</small>
          </Who>
        )}
        {client && (
          <Stations aria-label="Stations">
            {STATIONS.map(({ path: station, name }) => {
              const href = `/clients/${client.id}/${station}`;
              return (
                <Link key={station} href={href} aria-current={path === href ? "page" : undefined}>
                  {name}
                </Link>
              );
            })}
          </Stations>
        )}
        <Tools style={client ? undefined : { marginLeft: "auto" }}>
          {tools}
          {!client && <Link href="/">Today</Link>}
          {!client && <Link href="/clients">Clients</Link>}
          {!client && <Link href="/catalogue">Catalogue</Link>}
          {!client && <Link href="/equipment">Equipment</Link>}
          {!client && <Link href="/studio">Studio</Link>}
          {client && <Link href={`/clients/${client.id}/handover`}>Handover</Link>}
          {!client && <Link href="/account">Account</Link>}
          <KeysHelp />
          <TextButton aria-label={`Show ${other} units`} isDisabled={isChanging} onPress={() => change(() => setUnitsAction(other))}>
            {units === "metric" ? "cm, kg" : "in, lb"}
          </TextButton>
          <TextButton onPress={() => change(() => signOutAction())}>
            {atRisk > 0 ? `Sign out, and lose ${entriesText(atRisk)}` : "Sign out"}
          </TextButton>
        </Tools>
      </Bar>
      <KeepOffline />
      <OutboxBar owner={owner} />
    </>
  );
}
