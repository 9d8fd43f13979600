"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { v4 as newUuid } from "uuid";
import { correctComplaintAction, correctDetailsAction, eraseClientAction } from "../../actions/clients";
import type { Complaint } from "../../core/limits/complaint";
import type { Day } from "../../core/day";
import type { ClientProfile } from "../../core/record/facts/record";
import { Button, TextButton } from "../kit/button";
import { TextField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { Ask } from "../kit/why";
import { siteName } from "../../words/client/limit";
import { capital } from "../../words/basics/words";
import { ComplaintFields, type ComplaintDraft, emptyComplaint, filledIn, isComplete } from "../clients/complaint-fields";

export function DetailsForm({ client, onDone }: { client: ClientProfile; onDone: () => void }) {
  const [draft, setDraft] = useState(client);
  const { take, isTaking, problem } = useStep();
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        take((stepId) => correctDetailsAction(draft, stepId), onDone);
      }}
    >
      <Stack>
        <TextField label="Name" isRequired value={draft.name} onChange={(name) => setDraft({ ...draft, name })} />
        <NumberField
          label="Year of birth"
          formatOptions={{ useGrouping: false }}
          minValue={1915}
          maxValue={2010}
          value={draft.birthYear}
          onChange={(birthYear) => setDraft({ ...draft, birthYear })}
        />
        <TextField label="What the client wants back" value={draft.goal} onChange={(goal) => setDraft({ ...draft, goal })} />
        <Soft>What was there before is kept, with who changed it.</Soft>
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking}>
          Keep the details
        </Button>
      </Stack>
    </Form>
  );
}

function ComplaintForm({ clientId, complaint, onDone }: { clientId: string; complaint: Complaint | null; onDone: () => void }) {
  const [draft, setDraft] = useState<ComplaintDraft>(() => complaint ?? emptyComplaint(newUuid()));
  const { take, isTaking, problem } = useStep();
  const send = (isEnded: boolean): void =>
    take((stepId) => correctComplaintAction(clientId, { complaint: filledIn(draft), isEnded }, stepId), onDone);
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        send(false);
      }}
    >
      <Stack>
        <ComplaintFields value={draft} onChange={setDraft} />
        <Problem text={problem} />
        <Row>
          <Button type="submit" $tone="primary" isDisabled={isTaking || !isComplete(filledIn(draft))}>
            Keep the complaint
          </Button>
          {complaint && (
            <Button isDisabled={isTaking} onPress={() => send(true)}>
              It does not hurt any more
            </Button>
          )}
        </Row>
      </Stack>
    </Form>
  );
}

/** Putting away keeps everything; erasing keeps nothing, and asks for the name. */
function EndForm({ client, today, onDone }: { client: ClientProfile; today: Day; onDone: () => void }) {
  const [typed, setTyped] = useState("");
  const { take, isTaking, problem } = useStep();
  const isArchived = client.archivedDay !== null;
  return (
    <Stack>
      <p>
        {isArchived
          ? "Put away: not on the list, nothing lost."
          : "A duplicate, or no longer a client: put away, nothing is lost, and it can be taken up again."}
      </p>
      <Button
        isDisabled={isTaking}
        onPress={() => take((stepId) => correctDetailsAction({ ...client, archivedDay: isArchived ? null : today }, stepId), onDone)}
      >
        {isArchived ? "Take up again" : "Put away"}
      </Button>
      <p style={{ marginTop: 12 }}>
        On the client&apos;s request everything can be erased: sessions, pain, limits, measures, name. It cannot be undone.
      </p>
      <TextField label={`Type "${client.name}" to erase`} value={typed} onChange={setTyped} />
      <Problem text={problem} />
      <Button
        $tone="danger"
        isDisabled={isTaking || typed.trim() !== client.name}
        onPress={() => take((stepId) => eraseClientAction(client.id, stepId))}
      >
        Erase everything of this client
      </Button>
    </Stack>
  );
}

/** Who the client is and what hurts: each can be corrected, and what was there before is kept. */
export function DetailsCard(props: { client: ClientProfile; complaints: readonly Complaint[]; today: Day }) {
  const { client, complaints, today } = props;
  const [open, setOpen] = useState<"details" | "end" | "new" | Complaint | null>(null);
  const close = (): void => setOpen(null);
  const complaint = open !== null && typeof open === "object" ? open : null;
  return (
    <Card aria-label="Client">
      <Row style={{ justifyContent: "space-between" }}>
        <Title>Client</Title>
        <Row>
          <Button onPress={() => setOpen("details")}>Correct details</Button>
          <Button onPress={() => setOpen("end")}>Put away or erase</Button>
        </Row>
      </Row>
      <p style={{ marginTop: 8 }}>{client.goal || "No goal written down yet."}</p>
      <ul style={{ marginTop: 8 }}>
        {complaints.map((each) => (
          <li key={each.id}>
            <strong>{capital(`${each.side === "both" ? "" : each.side} ${siteName[each.site]}`.trim())}</strong>: {each.words}. Usual{" "}
            {each.usualPainScore}, agreed {each.painLimitScore}.{" "}
            <TextButton aria-label={`Correct ${each.words}`} onPress={() => setOpen(each)}>
              correct
            </TextButton>
          </li>
        ))}
      </ul>
      <Button style={{ marginTop: 8 }} onPress={() => setOpen("new")}>
        Add a complaint
      </Button>
      <Ask title="Correct details" isOpen={open === "details"} onClose={close}>
        <DetailsForm client={client} onDone={close} />
      </Ask>
      <Ask title={complaint ? "Correct the complaint" : "Add a complaint"} isOpen={open === "new" || complaint !== null} onClose={close}>
        <ComplaintForm clientId={client.id} complaint={complaint} onDone={close} />
      </Ask>
      <Ask title="Put away or erase" isOpen={open === "end"} onClose={close}>
        <EndForm client={client} today={today} onDone={close} />
      </Ask>
    </Card>
  );
}
