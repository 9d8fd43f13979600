"use client";
import { useState, useTransition } from "react";
import { useRouter } from "next/navigation";
import { Form } from "react-aria-components";
import styled from "styled-components";
import {
  confirmCodesAction,
  newRecoveryCodesAction,
  startCodesAction,
  type StartedCodes,
  stopCodesAction,
} from "../../actions/second-step";
import { Button, TextButton } from "../kit/button";
import { TextField } from "../kit/fields";
import { Card, Notice, Row, Soft, Stack, Title } from "../kit/layout";
import { ByPassword } from "./by-password";
import { font } from "../theme/tokens";

const Codes = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 6px 16px;
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
  font: 500 17px ${font.text};
  letter-spacing: 0.05em;
`;
/** Dark on light in either theme: a camera reads nothing else. */
const Picture = styled.svg`
  width: 200px;
  height: 200px;
  background: #fff;
`;
const Letters = styled.code`
  font: 500 17px ${font.text};
  letter-spacing: 0.05em;
`;
const inFours = (letters: string): string => letters.replaceAll(/(.{4})(?=.)/g, "$1 ");

function RecoveryCodes({ codes }: { codes: readonly string[] }) {
  return (
    <Notice as="div">
      <p>
        <strong>Recovery codes</strong>, shown this once. Write them down and keep them away from the telephone: each lets you in one time
        when it is lost.
      </p>
      <Codes aria-label="Recovery codes">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </Codes>
    </Notice>
  );
}

function Starting({ started, onOn }: { started: StartedCodes; onOn: () => void }) {
  const [code, setCode] = useState("");
  const [isWrong, setWrong] = useState(false);
  const [isTrying, tryOut] = useTransition();
  const { picture, secret, recoveryCodes } = started;
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        tryOut(async () => {
          const fits = await confirmCodesAction(code);
          setWrong(!fits);
          if (fits) onOn();
        });
      }}
    >
      <Stack>
        <p>1. In an authenticator app on your telephone, add an account by this picture, or by the letters below it.</p>
        <Picture viewBox={`-4 -4 ${picture.side + 8} ${picture.side + 8}`} role="img" aria-label="Picture for the authenticator app">
          <path d={picture.path} fill="#000" />
        </Picture>
        <p>
          <strong>The same in letters</strong>
          <br />
          <Letters>{inFours(secret)}</Letters>
        </p>
        <p>2. Put these away.</p>
        <RecoveryCodes codes={recoveryCodes} />
        <p>3. Type the six digits that the app shows now.</p>
        <TextField label="Code" inputMode="numeric" autoComplete="one-time-code" isRequired value={code} onChange={setCode} />
        {isWrong && (
          <Notice $tone="oxide" role="alert">
            That code does not fit. Wait for the next one; if none fits, the telephone’s clock is wrong.
          </Notice>
        )}
        <Button type="submit" $tone="primary" isDisabled={isTrying}>
          Turn codes on
        </Button>
      </Stack>
    </Form>
  );
}

/** Codes at sign-in: off, being made ready, or on. */
export function CodesCard({ hasCodes, asksForCodes }: { hasCodes: boolean; asksForCodes: boolean }) {
  const [started, setStarted] = useState<StartedCodes | null>(null);
  const [fresh, setFresh] = useState<readonly string[] | null>(null);
  const [wanted, setWanted] = useState<"recovery" | "off" | null>(null);
  const router = useRouter();
  return (
    <Card aria-label="Codes">
      <Stack>
        <Title>Codes at sign-in</Title>
        {!hasCodes && !started && (
          <>
            <p>A password can be read over a shoulder. With codes, signing in asks for six digits from your telephone as well.</p>
            <ByPassword ask={startCodesAction} words="Set up codes" onDone={setStarted} />
          </>
        )}
        {!hasCodes && started && (
          <Starting
            started={started}
            onOn={() => {
              setStarted(null);
              router.refresh();
            }}
          />
        )}
        {hasCodes && (
          <>
            <p>
              <strong>On.</strong> <Soft>Signing in asks for a code, or for a passkey.</Soft>
            </p>
            {fresh && <RecoveryCodes codes={fresh} />}
            {wanted === null && (
              <Row>
                <TextButton onPress={() => setWanted("recovery")}>new recovery codes</TextButton>
                {asksForCodes ? (
                  <Soft>Your studio asks for them.</Soft>
                ) : (
                  <TextButton onPress={() => setWanted("off")}>turn codes off</TextButton>
                )}
              </Row>
            )}
            {wanted === "recovery" && (
              <ByPassword
                ask={newRecoveryCodesAction}
                words="Make new recovery codes, and end the old"
                onDone={(codes) => {
                  setFresh(codes);
                  setWanted(null);
                }}
              />
            )}
            {wanted === "off" && (
              <ByPassword
                ask={stopCodesAction}
                words="Turn codes off"
                onDone={() => {
                  setWanted(null);
                  setFresh(null);
                  router.refresh();
                }}
              />
            )}
            {wanted !== null && <TextButton onPress={() => setWanted(null)}>leave it as it is</TextButton>}
          </>
        )}
      </Stack>
    </Card>
  );
}
