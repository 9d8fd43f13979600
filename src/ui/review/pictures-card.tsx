"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import styled from "styled-components";
import type { PictureSaid } from "../../core/floor/picture";
import { Button, TextButton } from "../kit/button";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { Ask } from "../kit/why";
import { dayText } from "../../words/basics/day";
import { viewText } from "../../words/training/floor";
import { color } from "../theme/tokens";

const Thumb = styled.img`
  width: 160px;
  height: 160px;
  border: 1px solid ${color.fogDeep};
  border-radius: 4px;
  object-fit: cover;
`;
export interface PictureShown extends PictureSaid {
  /** The exercise it is of. */
  name: string;
}

/** Pictures of repetitions that the client agreed to; one that is taken back is gone. */
export function PicturesCard({ clientId, pictures }: { clientId: string; pictures: readonly PictureShown[] }) {
  const router = useRouter();
  const [erasing, setErasing] = useState<PictureShown | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  if (pictures.length === 0) return null;
  const address = (id: string): string => `/api/pictures/${clientId}/${id}`;
  const erase = async ({ id }: PictureShown): Promise<void> => {
    const answer = await fetch(address(id), { method: "DELETE" }).catch(() => null);
    const isGone = answer !== null && (answer.ok || answer.status === 404);
    setProblem(isGone ? null : "Not confirmed: the studio does not answer. The picture is still there; erase it again.");
    if (!isGone) return;
    setErasing(null);
    router.refresh();
  };
  return (
    <Card aria-label="Pictures">
      <Title>Pictures</Title>
      <Soft>Agreed to by the client, and theirs to take back: an erased one is gone for good.</Soft>
      <Row $gap={14} style={{ alignItems: "start", marginTop: 8 }}>
        {pictures.map((picture) => {
          const { id, name, view, words, day } = picture;
          return (
            <Stack key={id} $gap={4} style={{ width: 160 }}>
              <a href={address(id)} target="_blank" rel="noreferrer">
                <Thumb src={address(id)} alt={`${name}, ${viewText[view]}, ${dayText(day)}`} loading="lazy" />
              </a>
              <span>
                <strong>{name}</strong>, {viewText[view]}, {dayText(day)}
                {words && `: ${words}`}
              </span>
              <TextButton aria-label={`Erase the picture of ${dayText(day)}, ${viewText[view]}`} onPress={() => setErasing(picture)}>
                erase
              </TextButton>
            </Stack>
          );
        })}
      </Row>
      <Ask title="Erase the picture?" isOpen={erasing !== null} onClose={() => setErasing(null)}>
        <p>It is gone for good.</p>
        <Problem text={problem} />
        <Button $tone="danger" onPress={() => erasing && void erase(erasing)}>
          Erase it
        </Button>
      </Ask>
    </Card>
  );
}
