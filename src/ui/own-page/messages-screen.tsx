"use client";
import type { Message } from "../../core/studio/message";
import { Card, Notice, Page, Soft, Stack } from "../kit/layout";
import { Link } from "../kit/link";
import { When } from "../kit/studio-clock";
import { templateName } from "../../words/studio/message";

/** Everything that would have been sent, the newest first. */
export function MessagesScreen({ messages }: { messages: readonly (Message & { name: string })[] }) {
  return (
    <Page>
      <Stack>
        <h1 style={{ fontSize: 26 }}>Messages</h1>
        <Notice>
          A stand-in for mail and text messages: what is here would have been sent, and nothing left this machine. Private links are never
          kept.
        </Notice>
        {messages.length === 0 && <p>Nothing was written yet.</p>}
        {messages.map(({ id, clientId, name, at, channel, address, template, words }) => (
          <Card key={id} aria-label={`${templateName[template] ?? "A message"} to ${name}`}>
            <strong>
              <Link href={`/clients/${clientId}/own-page`}>{name}</Link>, {(templateName[template] ?? "a message").toLowerCase()}
            </strong>{" "}
            <Soft>
              <When at={at} />, {channel === "mail" ? "mail" : "text"} to {address}
            </Soft>
            <p style={{ whiteSpace: "pre-line" }}>{words}</p>
          </Card>
        ))}
      </Stack>
    </Page>
  );
}
