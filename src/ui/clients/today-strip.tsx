"use client";
import Link from "next/link";
import { useEffect, useState } from "react";
import styled from "styled-components";
import type { ClientLine } from "../../core/record/record";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { keepFloors, keptFloors } from "../shell/keep-offline";
import { color, size } from "../theme/tokens";

const To = styled(Link)`
  display: inline-flex;
  align-items: center;
  min-height: ${size.target};
  padding: 6px 14px;
  border: 1px solid ${color.marine};
  border-radius: ${size.radius};
  background: ${color.paper};
  font-weight: 700;
  text-decoration: none;
`;
const [LOOK_EVERY_MS, QUIET_MS] = [3000, 4000];

/** Who trains today, one tap to the floor, and whose floor this tablet has without a connection; and mornings nobody told. */
export function TodayStrip({ clients }: { clients: readonly ClientLine[] }) {
  const today = clients.filter(({ isToday }) => isToday);
  const unknown = clients.filter(({ missingMorningOf }) => missingMorningOf !== null);
  const ids = today.map(({ id }) => id).join(" ");
  const [ready, setReady] = useState<readonly string[]>([]);
  useEffect(() => {
    const wanted = ids === "" ? [] : ids.split(" ");
    if (wanted.length === 0) return;
    const fetching = setTimeout(() => keepFloors(wanted), QUIET_MS); // once the page has come to rest
    const look = async (): Promise<void> => {
      const kept = await keptFloors(wanted).catch(() => []);
      setReady(kept);
      if (kept.length === wanted.length) clearInterval(timer);
    };
    const timer = setInterval(() => void look(), LOOK_EVERY_MS);
    void look();
    return () => {
      clearTimeout(fetching);
      clearInterval(timer);
    };
  }, [ids]);
  if (today.length === 0 && unknown.length === 0) return null;
  return (
    <Card aria-label="Today" style={{ marginTop: 16 }}>
      <Stack $gap={10}>
        {today.length > 0 && (
          <>
            <Row style={{ justifyContent: "space-between" }}>
              <Title>Today</Title>
              <Soft role="status">
                {ready.length === today.length
                  ? "All of today is on this tablet, connection or none"
                  : `${ready.length} of ${today.length} on this tablet without a connection`}
              </Soft>
            </Row>
            <Row $gap={8}>
              {today.map(({ id, name, openWarningCount }) => (
                <To key={id} href={`/clients/${id}/floor`} style={openWarningCount > 0 ? { borderColor: color.oxide } : {}}>
                  {name}
                  {openWarningCount > 0 && ", warning sign"}
                </To>
              ))}
            </Row>
          </>
        )}
        {unknown.length > 0 && (
          <Row $gap={8} role="group" aria-label="Mornings not known">
            <strong>Morning after not known</strong>
            {unknown.map(({ id, name }) => (
              <To key={id} href={`/clients/${id}/morning`}>
                {name}
              </To>
            ))}
          </Row>
        )}
      </Stack>
    </Card>
  );
}
