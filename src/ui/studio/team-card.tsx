"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { changeMemberAction, endCodesAction, endInvitationAction, inviteAction, makePasswordLinkAction } from "../../actions/team";
import { type Day, dayAfter } from "../../core/day";
import { type Invited, type Role, ROLES, type TeamMember } from "../../core/studio/team";
import { Button, TextButton } from "../kit/button";
import { InlineSelect, SelectField, TextField } from "../kit/fields";
import { Card, Notice, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { newSecret } from "../kit/secret";
import { useStep } from "../kit/use-step";
import { dayText } from "../../words/basics/day";
import { roleName } from "../../words/studio/team";

const INVITED_DAYS = 7;

function InviteForm({ today }: { today: Day }) {
  const [name, setName] = useState("");
  const [email, setEmail] = useState("");
  const [role, setRole] = useState<Role>("trainer");
  const [link, setLink] = useState<string | null>(null);
  const { take, isTaking, problem } = useStep();
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        const secret = newSecret();
        take(
          (stepId) => inviteAction({ secret, name, email, role, untilDay: dayAfter(today, INVITED_DAYS) }, stepId),
          () => {
            setLink(`${location.origin}/join/${secret}`);
            setName("");
            setEmail("");
          },
        );
      }}
    >
      <Stack>
        <Title>Invite somebody</Title>
        <Row style={{ alignItems: "end" }}>
          <TextField label="Name" isRequired value={name} onChange={setName} />
          <TextField label="E-mail" type="email" isRequired value={email} onChange={setEmail} />
          <SelectField label="As" options={ROLES.map((id) => ({ id, label: roleName[id] }))} value={role} onChange={setRole} />
          <Button type="submit" isDisabled={isTaking}>
            Make the link
          </Button>
        </Row>
        <Problem text={problem} />
        {link && (
          <>
            <TextField label="Invitation" isReadOnly value={link} onFocus={(event) => (event.target as HTMLInputElement).select()} />
            <Soft>Shown this once, good for {INVITED_DAYS} days and one person. They choose their own password.</Soft>
          </>
        )}
      </Stack>
    </Form>
  );
}

/** What the lead can do for one member: another role, a link for a new password, and taking them out, which is asked about. */
function MemberRow({ member, isSelf }: { member: TeamMember; isSelf: boolean }) {
  const { userId, name, role } = member;
  const [asked, setAsked] = useState<"out" | "codes" | null>(null);
  const [link, setLink] = useState<string | null>(null);
  const { take, isTaking, problem } = useStep();
  const makeLink = (): void => {
    const secret = newSecret();
    take(
      (stepId) => makePasswordLinkAction({ userId, secret }, stepId),
      () => setLink(`${location.origin}/password/${secret}`),
    );
  };
  return (
    <Stack>
      <Row>
        <InlineSelect
          label={`Role of ${name}`}
          options={ROLES.map((id) => ({ id, label: roleName[id] }))}
          value={role as Role}
          onChange={(to) => take((stepId) => changeMemberAction({ userId, role: to }, stepId))}
        />
        {!isSelf && asked === null && (
          <>
            <TextButton isDisabled={isTaking} onPress={makeLink}>
              new password for {name}
            </TextButton>
            <TextButton isDisabled={isTaking} onPress={() => setAsked("codes")}>
              {name} has lost their codes
            </TextButton>
            <TextButton isDisabled={isTaking} onPress={() => setAsked("out")}>
              take {name} out of the team
            </TextButton>
          </>
        )}
      </Row>
      {asked === "out" && (
        <Notice as="div" role="alertdialog" aria-label={`Take ${name} out of the team?`}>
          <p>
            Take {name} out of the team? {name} is signed out everywhere and sees no client of this studio any more. What {name} did keeps
            the name. What a tablet of theirs has not sent yet is lost to the studio: have it sent first. They can be invited again.
          </p>
          <Row>
            <Button isDisabled={isTaking} onPress={() => take((stepId) => changeMemberAction({ userId, role: "gone" }, stepId))}>
              Take {name} out
            </Button>
            <TextButton onPress={() => setAsked(null)}>keep {name} in the team</TextButton>
          </Row>
        </Notice>
      )}
      {asked === "codes" && (
        <Notice as="div" role="alertdialog" aria-label={`End the codes of ${name}?`}>
          <p>
            End the codes of {name}? {name} then signs in with the password alone and is signed out everywhere now. Be sure that it is{" "}
            {name} who asks. Passkeys stay.
          </p>
          <Row>
            <Button
              isDisabled={isTaking}
              onPress={() =>
                take(
                  (stepId) => endCodesAction({ userId }, stepId),
                  () => setAsked(null),
                )
              }
            >
              End the codes of {name}
            </Button>
            <TextButton onPress={() => setAsked(null)}>keep them</TextButton>
          </Row>
        </Notice>
      )}
      {link && (
        <>
          <TextField label={`Link for ${name}`} isReadOnly value={link} onFocus={(event) => (event.target as HTMLInputElement).select()} />
          <Soft>Shown this once, good for 24 hours and one new password. {name} is then signed out everywhere.</Soft>
        </>
      )}
      <Problem text={problem} />
    </Stack>
  );
}

/** Who works here and as what; the lead changes it and invites. */
export function TeamCard(props: { team: readonly TeamMember[]; invited: readonly Invited[]; self: string; isLead: boolean; today: Day }) {
  const { team, invited, self, isLead, today } = props;
  const { take, isTaking, problem } = useStep();
  const here = team.filter(({ role }) => role !== "gone");
  return (
    <Card aria-label="Team">
      <Stack>
        <Title>Team</Title>
        <ul>
          {here.map((member) => (
            <li key={member.userId}>
              <Row style={{ justifyContent: "space-between", minHeight: 44 }}>
                <span>
                  <strong>{member.name}</strong> {member.userId === self && <Soft>you</Soft>}
                </span>
                {isLead ? <MemberRow member={member} isSelf={member.userId === self} /> : <Soft>{roleName[member.role]}</Soft>}
              </Row>
            </li>
          ))}
          {invited.map(({ id, name, role, untilDay }) => (
            <li key={id}>
              <Row style={{ justifyContent: "space-between", minHeight: 44 }}>
                <Soft>
                  {name}, invited as {roleName[role].toLowerCase()} to {dayText(untilDay)}
                </Soft>
                {isLead && (
                  <TextButton isDisabled={isTaking} onPress={() => take((stepId) => endInvitationAction({ id }, stepId))}>
                    withdraw
                  </TextButton>
                )}
              </Row>
            </li>
          ))}
        </ul>
        <Problem text={problem} />
        {isLead ? <InviteForm today={today} /> : <Soft>A lead of the studio invites and changes roles.</Soft>}
      </Stack>
    </Card>
  );
}
