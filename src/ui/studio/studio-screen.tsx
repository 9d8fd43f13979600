"use client";
import type { Day } from "../../core/day";
import type { OwnWords } from "../../core/studio/message";
import type { Aside, AuditLine, Invited, TeamMember } from "../../core/studio/team";
import { Card, Columns, LinkList, Page, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { ArchiveCard } from "./archive-card";
import { AsideCard } from "./aside-card";
import { AuditCard, RetentionCard } from "./keeping-card";
import { CodesAskedCard } from "./codes-asked-card";
import { StudioCard } from "./studio-card";
import { TeamCard } from "./team-card";
import { WordsCard } from "./words-card";

/** The studio as a whole: who works here, what it knows, and how it is kept. */
export function StudioScreen(props: {
  team: readonly TeamMember[];
  invited: readonly Invited[];
  audit: readonly AuditLine[];
  aside: readonly Aside[];
  /** Where the next page of it begins. */
  older: string | null;
  isLatest: boolean;
  names: Readonly<Record<string, string>>;
  months: number | null;
  past: readonly { id: string; name: string; since: Day }[];
  studioName: string;
  timeZone: string;
  zones: readonly string[];
  asksForCodes: boolean;
  words: OwnWords;
  self: string;
  isLead: boolean;
  today: Day;
}) {
  const { studioName, timeZone, zones, asksForCodes, words, audit, aside, older, isLatest, names, months, past, ...team } = props;
  return (
    <Page>
      <h1 style={{ fontSize: 26 }}>{studioName}</h1>
      <Soft>Days and hours by {timeZone.replaceAll("_", " ")}</Soft>
      <Columns $template="minmax(0, 1.4fr) minmax(0, 1fr)" style={{ marginTop: 12 }}>
        <Stack>
          <TeamCard {...team} />
          <WordsCard own={words} isLead={team.isLead} studioName={studioName} trainerName={names[team.self] ?? ""} />
          {team.isLead && <AuditCard audit={audit} older={older} isLatest={isLatest} names={names} />}
        </Stack>
        <Stack>
          {team.isLead && <StudioCard studioName={studioName} timeZone={timeZone} zones={zones} />}
          {team.isLead && <CodesAskedCard asksForCodes={asksForCodes} />}
          <ArchiveCard isLead={team.isLead} />
          {aside.length > 0 && <AsideCard aside={aside} names={names} />}
          <RetentionCard months={months} past={past} isLead={team.isLead} />
          <Card aria-label="What the studio has">
            <Title>What the studio has</Title>
            <LinkList>
              <li>
                <Link href="/equipment">Equipment</Link>
              </li>
              <li>
                <Link href="/catalogue">Catalogue, and rows of its own</Link>
              </li>
              <li>
                <Link href="/messages">Messages</Link>
              </li>
            </LinkList>
          </Card>
        </Stack>
      </Columns>
    </Page>
  );
}
