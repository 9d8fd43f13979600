"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { setContactAction, sendMessageAction } from "../../actions/messages";
import { setPrivateLinkAction } from "../../actions/private-link";
import type { Day } from "../../core/day";
import {
  type Channel,
  CHANNELS,
  type Contact,
  LINK,
  type Message,
  type MessageTemplate,
  MESSAGE_TEMPLATES,
  type OwnWords,
} from "../../core/studio/message";
import type { TaskTold } from "../../core/record/facts/home-told";
import { v4 as newUuid } from "uuid";
import { Button } from "../kit/button";
import { DayField } from "../kit/day-field";
import { CheckField, ChoiceField, SelectField, TextField } from "../kit/fields";
import { Card, Columns, Notice, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { Problem } from "../kit/problem";
import { newSecret } from "../kit/secret";
import { useStep } from "../kit/use-step";
import { levelText, taskQuestion } from "../../words/client/client";
import { When } from "../kit/studio-clock";
import { dayText } from "../../words/basics/day";
import { templateName, templateWords } from "../../words/studio/message";

const channelName: Readonly<Record<Channel, string>> = { mail: "Mail", text: "Text message" };

export interface OwnPageProps {
  clientId: string;
  studioId: string;
  firstName: string;
  trainerName: string;
  link: { since: Day; untilDay: Day | null; asksYear: boolean; isGuessedOut: boolean } | null;
  contact: Contact | null;
  /** Agreed to which version; 0: not yet. */
  consentVersion: number;
  hasProgramme: boolean;
  trend: readonly TaskTold[];
  messages: readonly Message[];
  nextVisit: string | null;
  /** How the studio words its messages. */
  words: OwnWords;
  /** A link ends by itself on this day unless another is chosen. */
  usualEnd: Day;
}

/** The link to a client's own page: made, shown once, ended. */
function LinkCard(props: OwnPageProps & { made: string | null; onMade: (link: string | null) => void }) {
  const { clientId, studioId, link, usualEnd, made, onMade } = props;
  const [untilDay, setUntilDay] = useState<Day | null>(link?.untilDay ?? usualEnd);
  const [asksYear, setAsksYear] = useState(link?.asksYear ?? true);
  const { take, isTaking, problem } = useStep();
  const set = (secret: string | null): void =>
    take(
      (stepId) => setPrivateLinkAction(clientId, { opens: "page", link: secret === null ? null : { secret, untilDay, asksYear } }, stepId),
      () => onMade(secret === null ? null : `${location.origin}/me/${studioId}.${secret}`),
    );
  return (
    <Card aria-label="Link">
      <Stack>
        <Title>The link</Title>
        {made !== null ? (
          <>
            <TextField label="Private link" isReadOnly value={made} onFocus={(event) => (event.target as HTMLInputElement).select()} />
            <Soft>Shown this once: send it, or copy it now. The studio keeps only what it can be checked by.</Soft>
            <Row>
              <Button onPress={() => void navigator.clipboard.writeText(made)}>Copy</Button>
            </Row>
          </>
        ) : link?.isGuessedOut ? (
          <Notice $tone="oxide" role="alert">
            The year of birth was guessed wrong ten times: nobody new comes in by this link. Make a new one. Phones that gave the right year
            keep working until then.
          </Notice>
        ) : link ? (
          <p>
            Open since {dayText(link.since)}
            {link.untilDay ? `, to ${dayText(link.untilDay)}` : ""}
            {link.asksYear ? ", asks the year of birth" : ""}. {props.consentVersion > 0 ? "Agreed to." : "Not agreed to yet."}
          </p>
        ) : (
          <p>No link yet: the page exists for nobody.</p>
        )}
        <Row style={{ alignItems: "end" }}>
          <DayField label="Ends after" hint="Empty: until you stop it" value={untilDay} onChange={setUntilDay} />
          <CheckField label="Ask the year of birth once" isSelected={asksYear} onChange={setAsksYear} />
        </Row>
        <Problem text={problem} />
        <Row>
          <Button $tone={link || made ? "plain" : "primary"} isDisabled={isTaking} onPress={() => set(newSecret())}>
            {link || made ? "Make a new link, the old one ends" : "Make the link"}
          </Button>
          {(link ?? made) && (
            <Button $tone="danger" isDisabled={isTaking} onPress={() => set(null)}>
              Stop the link
            </Button>
          )}
        </Row>
        {!props.hasProgramme && (
          <Notice>
            Nothing is on the sheet for home yet. <Link href={`/clients/${clientId}/plan`}>Keep a programme on Plan</Link>
          </Notice>
        )}
      </Stack>
    </Card>
  );
}

function ContactForm({ clientId, contact }: Pick<OwnPageProps, "clientId" | "contact">) {
  const [channel, setChannel] = useState<Channel>(contact?.channel ?? "text");
  const [address, setAddress] = useState(contact?.address ?? "");
  const [isReminded, setReminded] = useState(contact?.remindAt != null);
  const [remindAt, setRemindAt] = useState(contact?.remindAt ?? "08:00");
  const { take, isTaking, problem } = useStep();
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        take((stepId) => setContactAction(clientId, { channel, address, remindAt: isReminded ? remindAt : null }, stepId));
      }}
    >
      <Stack>
        <ChoiceField
          label="Reached by"
          options={CHANNELS.map((id) => ({ id, label: channelName[id] }))}
          value={channel}
          onChange={setChannel}
        />
        <TextField
          label={channel === "mail" ? "Mail address" : "Number"}
          value={address}
          onChange={setAddress}
          hint="Empty: not written to"
        />
        <Row style={{ alignItems: "end" }}>
          <CheckField label="Remind on days with exercises, at" isSelected={isReminded} onChange={setReminded} />
          <TextField
            aria-label="Hour of the reminder"
            label=""
            type="time"
            isDisabled={!isReminded}
            value={remindAt}
            onChange={setRemindAt}
          />
        </Row>
        <Problem text={problem} />
        <Button type="submit" isDisabled={isTaking}>
          Keep how they are reached
        </Button>
      </Stack>
    </Form>
  );
}

/** A message from a template, changed as one likes; words that judge or promise do not go out. */
function WriteCard(props: OwnPageProps & { made: string | null }) {
  const { clientId, firstName, trainerName, nextVisit, words: own, contact, made } = props;
  const usual = (template: MessageTemplate): string => templateWords(template, { firstName, trainerName, visit: nextVisit }, own);
  const [template, setTemplate] = useState<MessageTemplate>("page-link");
  const [words, setWords] = useState(usual("page-link"));
  const [messageId, setMessageId] = useState(() => newUuid());
  const [isSent, setSent] = useState(false);
  const { take, isTaking, problem } = useStep();
  const needsLink = words.includes(LINK);
  return (
    <Card aria-label="Message">
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          take(
            (stepId) => sendMessageAction(clientId, { id: messageId, template, words, link: needsLink ? made : null }, stepId),
            () => {
              setSent(true);
              setMessageId(newUuid());
            },
          );
        }}
      >
        <Stack>
          <Title>Write to them</Title>
          <SelectField
            label="About"
            options={MESSAGE_TEMPLATES.filter((id) => id !== "reminder").map((id) => ({ id, label: templateName[id] }))}
            value={template}
            onChange={(id) => {
              setTemplate(id);
              setWords(usual(id));
              setSent(false);
            }}
          />
          <TextField label="Words" long value={words} onChange={setWords} />
          {needsLink && made === null && <Notice>Make a link first: only a new one can be sent, since the studio does not keep it.</Notice>}
          {!contact && <Notice>Say first how they are reached.</Notice>}
          <Problem text={problem} />
          {isSent && <p role="status">Sent, by the stand-in: nothing left this machine.</p>}
          <Button type="submit" $tone="primary" isDisabled={isTaking || !contact || (needsLink && made === null)}>
            Send
          </Button>
        </Stack>
      </Form>
    </Card>
  );
}

/** A client's own page, from the trainer's side: its link, how they are reached, what was written, what they told of the week. */
export function OwnPageScreen(props: OwnPageProps) {
  const { contact, messages, trend, clientId } = props;
  const [made, setMade] = useState<string | null>(null);
  return (
    <Page>
      <Row style={{ justifyContent: "space-between" }}>
        <h2 style={{ fontSize: 22 }}>Their own page</h2>
        <Row>
          <Link href={`/clients/${clientId}/plan`}>Plan</Link>
          <Link href={`/clients/${clientId}/sheet`}>Home sheet</Link>
          <Link href="/messages">All messages</Link>
        </Row>
      </Row>
      <Columns $template="minmax(0, 1fr) minmax(0, 1fr)" style={{ marginTop: 10 }}>
        <Stack>
          <LinkCard {...props} made={made} onMade={setMade} />
          <Card aria-label="How they are reached">
            <Stack>
              <Title>How they are reached</Title>
              <ContactForm clientId={clientId} contact={contact} />
            </Stack>
          </Card>
        </Stack>
        <Stack>
          <WriteCard {...props} made={made} />
          <Card aria-label="What they told">
            <Title>The everyday task, as they told it</Title>
            {trend.length === 0 && <Soft>Not told yet.</Soft>}
            <ul>
              {trend.toReversed().map(({ day, task, level }, i) => (
                <li key={i}>
                  {dayText(day)}: {taskQuestion[task].toLowerCase()}, <strong>{levelText[level]?.toLowerCase()}</strong>
                </li>
              ))}
            </ul>
          </Card>
          <Card aria-label="Written">
            <Title>Written to them</Title>
            {messages.length === 0 && <Soft>Nothing yet.</Soft>}
            <ul>
              {messages.slice(0, 5).map(({ id, at, template, words }) => (
                <li key={id}>
                  <strong>
                    <When at={at} />, {templateName[template].toLowerCase()}
                  </strong>
                  : {words}
                </li>
              ))}
            </ul>
          </Card>
        </Stack>
      </Columns>
    </Page>
  );
}
