"use client";
import { getLocalTimeZone, today } from "@internationalized/date";
import { useState } from "react";
import { FileTrigger } from "react-aria-components";
import styled from "styled-components";
import { v4 as newUuid } from "uuid";
import { type View, VIEWS } from "../../../core/floor/picture";
import { Button } from "../../kit/button";
import { ChoiceField, TextField } from "../../kit/fields";
import { Card, Row, Soft, Stack, Title } from "../../kit/layout";
import { Problem } from "../../kit/problem";
import type { TabletPicture } from "../../../outbox/floor/event-store";
import { dayText } from "../../../words/basics/day";
import { viewText } from "../../../words/training/floor";
import { color } from "../../theme/tokens";
import type { FloorSession } from "../session/floor-session";
import { shrunk, type TabletPictures } from "./use-pictures";

const Thumb = styled.img`
  width: 132px;
  max-height: 132px;
  border: 1px solid ${color.fogDeep};
  border-radius: 4px;
  object-fit: cover;
`;
/** More than these are not looked at together any more: agree to some, or erase them. */
const MOST_ON_TABLET = 12;

/** Takes a picture of a repetition and keeps it on this tablet; the client agrees to more than that later, or not. */
export function PictureForm({
  clientId,
  session,
  pictures,
  onDone,
}: {
  clientId: string;
  session: FloorSession;
  pictures: TabletPictures;
  onDone: () => void;
}) {
  const [jpeg, setJpeg] = useState<string | null>(null);
  const [view, setView] = useState<View | null>(null);
  const [words, setWords] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const drawn = await shrunk(file);
    setProblem(drawn ? null : "This is no picture that can be read. Take it again.");
    if (drawn) setJpeg(drawn);
  };
  const keep = async (): Promise<void> => {
    if (!jpeg || !view) return;
    const said = { id: newUuid(), sessionId: session.sessionId, itemId: session.item.itemId, view, words: words.trim() };
    const isKept = await pictures.add({ ...said, clientId, day: today(getLocalTimeZone()).toString(), jpeg });
    if (isKept) onDone();
    else setProblem("This tablet cannot keep it: its store is full or closed. The picture is still here.");
  };
  if (pictures.all.length >= MOST_ON_TABLET)
    return <p>{MOST_ON_TABLET} pictures of this client wait on this tablet: keep or erase some of them first.</p>;
  return (
    <Stack $gap={10}>
      <Soft>It stays on this tablet alone until the client agrees that the studio keeps it. Place, time and camera are taken out.</Soft>
      <Row>
        <FileTrigger acceptedFileTypes={["image/*"]} defaultCamera="environment" onSelect={(files) => void take(files?.[0])}>
          <Button>{jpeg ? "Another picture" : "Take or choose a picture"}</Button>
        </FileTrigger>
        {jpeg && <Thumb src={jpeg} alt="The picture taken" />}
      </Row>
      <ChoiceField label="Seen from" options={VIEWS.map((id) => ({ id, label: viewText[id] }))} value={view} onChange={setView} />
      <TextField label="A word on it" maxLength={200} value={words} onChange={setWords} />
      <Problem text={problem} />
      <Button $tone="primary" isDisabled={!jpeg || !view} onPress={() => void keep()}>
        Keep it on this tablet
      </Button>
    </Stack>
  );
}

function OnePicture({ picture, pictures }: { picture: TabletPicture; pictures: TabletPictures }) {
  const [problem, setProblem] = useState<string | null>(null);
  const [isSending, setSending] = useState(false);
  const { id, jpeg, view, words, day } = picture;
  const name = `${viewText[view]}, ${dayText(day)}`;
  return (
    <Row $gap={12} style={{ alignItems: "start" }}>
      <Thumb src={jpeg} alt={`${name}${words ? `: ${words}` : ""}`} />
      <Stack $gap={6} style={{ flex: 1 }}>
        <p>
          <strong>{name}</strong>
          {words && `: ${words}`}
        </p>
        <Problem text={problem} />
        <Row $gap={8}>
          <Button
            isDisabled={isSending}
            onPress={() => {
              setSending(true);
              void pictures.agree(picture).then((wrong) => {
                setProblem(wrong);
                setSending(false);
              });
            }}
          >
            The client agrees: keep it in the studio
          </Button>
          <Button onPress={() => void pictures.erase(id)}>Erase it</Button>
        </Row>
      </Stack>
    </Row>
  );
}

/** What is on this tablet alone, until the client agrees or it is erased. */
export function PicturesHere({ pictures }: { pictures: TabletPictures }) {
  if (pictures.all.length === 0) return null;
  return (
    <Card aria-label="Pictures on this tablet alone">
      <Stack $gap={10}>
        <Title>On this tablet alone</Title>
        {pictures.all.map((picture) => (
          <OnePicture key={picture.id} picture={picture} pictures={pictures} />
        ))}
      </Stack>
    </Card>
  );
}
