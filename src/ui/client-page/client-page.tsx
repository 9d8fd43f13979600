"use client";
import { useEffect, useState } from "react";
import styled from "styled-components";
import { CONSENT_VERSION, type HomeTold } from "../../core/record/facts/home-told";
import type { Side } from "../../core/mechanics/channels";
import { useDayNow, useStudioZone } from "../kit/studio-clock";
import { PlainDrawn } from "../figure/plain-drawn";
import { CLIENT_REFUSALS, CONSENT_TEXT, levelText, NOBODY_WATCHES, SHARED, taskQuestion } from "../../words/client/client";
import { dayText } from "../../words/basics/day";
import { color } from "../theme/tokens";
import { doneToday, type Due, duesOf } from "./dues";
import { ExerciseView, LeftAsked } from "./exercise";
import type { HomeExercise, HomePage } from "./home-page";
import { MorningAsked } from "./morning";
import { Body, Foot, LinkTap, Pair, Part, Phone, Quiet, Tap, Top } from "./parts";
import { SignList, SignSaid } from "./signs";
import { keepThisPage } from "./keep";
import { useEntries } from "./use-entries";

const Line = styled.button`
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 12px;
  align-items: center;
  width: 100%;
  padding: 10px;
  border: 2px solid ${color.fogDeep};
  border-radius: 8px;
  background: ${color.paper};
  color: ${color.ink};
  font: inherit;
  text-align: left;
  cursor: pointer;
  strong {
    display: block;
  }
`;
const Trend = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  font-size: 17px;
`;

function Consent({ studioName, onAgree }: { studioName: string; onAgree: () => void }) {
  return (
    <Phone>
      <Top>
        <p>{studioName}</p>
        <h1>Before you begin</h1>
      </Top>
      <Body>
        {CONSENT_TEXT.map((words) => (
          <p key={words}>{words}</p>
        ))}
        <Tap type="button" $tone="chosen" onClick={onAgree}>
          I agree
        </Tap>
        <Quiet>Not now: close this page. Nothing is kept. {NOBODY_WATCHES}</Quiet>
      </Body>
    </Phone>
  );
}

/** A client's own page on a phone: this morning, what to do today, how the week's task goes, and what to do when something is wrong. */
export function ClientPage({ token, ownKey, linkHash, page }: { token: string; ownKey: string; linkHash: string; page: HomePage }) {
  const { entries, tell, sendAgain, waiting, isKept, hasEnded } = useEntries(token, ownKey, linkHash);
  const [open, setOpen] = useState<string | null>(null);
  const [left, setLeft] = useState<{ entryId: string; name: string; told: Extract<HomeTold, { kind: "set" }> } | null>(null);
  const [isListing, setListing] = useState(false);
  const [isStopping, setStopping] = useState(false);
  useEffect(() => keepThisPage(), []);
  useEffect(() => {
    window.scrollTo(0, 0); // what it returns is no way to undo it
  }, [open, isListing, left]);
  const timeZone = useStudioZone();
  const today = useDayNow(page.today);
  // what the studio had when it made this page is in the page; a sign that was cleared or a morning of yesterday is not told again
  const fresh = entries.flatMap(({ event, state }) => (state === "refused" || page.toldIds.includes(event.id) ? [] : [event]));
  const said = <K extends HomeTold["kind"]>(kind: K): Extract<HomeTold, { kind: K }>[] =>
    fresh.flatMap(({ told }) => (told.kind === kind ? [told as Extract<HomeTold, { kind: K }>] : []));
  const hasAgreed = page.consentVersion >= CONSENT_VERSION || said("consented").length > 0;
  if (!hasAgreed) return <Consent studioName={page.studioName} onAgree={() => tell({ kind: "consented", version: CONSENT_VERSION })} />;

  const signs = [...said("sign").map(({ sign }) => sign), ...said("morning").flatMap((morning) => morning.signs)];
  const isClosed = page.isClosed || signs.length > 0;
  const done = doneToday(page, fresh, { today, timeZone });
  const countOf = (line: string, side: Side | null): number => done.filter((set) => set.line === line && set.side === side).length;
  /** The set that comes next of an exercise; the first again where it is done several times a day. */
  const nextOf = (exercise: HomeExercise): { due: Due; number: number; isAgain: boolean } | null => {
    const dues = duesOf(exercise);
    for (const [i, due] of dues.entries()) {
      const before = dues.slice(0, i).filter(({ side }) => side === due.side).length;
      if (countOf(exercise.line, due.side) <= before) return { due, number: before + 1, isAgain: false };
    }
    return dues[0] ? { due: dues[0], number: 1, isAgain: true } : null;
  };
  const shown = page.exercises.find(({ line }) => line === open);
  const next = shown && nextOf(shown);
  if (shown && next) {
    const { due, number, isAgain } = next;
    const sided = due.side === null ? "" : `${due.side} side, `;
    const ofIt = shown.sides.find(({ side }) => side === due.side)?.setCount ?? 1;
    return (
      <ExerciseView
        key={`${shown.line} ${due.side ?? ""} ${done.length}`}
        exercise={shown}
        side={due.side}
        repetitions={due.repetitions}
        setLabel={isAgain ? "All done today. Once more, if you like." : `${sided}set ${number} of ${ofIt}`}
        onClose={() => setOpen(null)}
        onTold={(told) => {
          const entryId = tell(told);
          const isLast = duesOf(shown).length === done.filter(({ line }) => line === shown.line).length + 1;
          if (isLast && !told.isSharp && shown.holdS === null) setLeft({ entryId, name: shown.name, told });
          if (isLast || told.isSharp) setOpen(null);
        }}
      />
    );
  }
  const tellSigns = (each: readonly string[]): void => {
    for (const sign of each) tell({ kind: "sign", sign });
  };
  const asksMorning = page.asked !== null && said("morning").length === 0;
  const tasks = said("task");
  const trend = [...page.trend, ...tasks.map(({ task, level }) => ({ task, level, day: page.today }))].slice(-12);
  const refused = entries.filter(({ state }) => state === "refused");
  return (
    <Phone>
      <Top>
        <p>{page.studioName}</p>
        <h1>
          {asksMorning && !isClosed ? "Good morning" : "Hello"}, {page.firstName}
        </h1>
      </Top>
      <Body>
        {isClosed ? (
          <SignSaid signs={signs.length > 0 ? signs : ["other-sign"]} />
        ) : isListing ? (
          <SignList
            asksBelly={page.asksBelly}
            onNone={() => setListing(false)}
            onTold={(each) => {
              tellSigns(each);
              setListing(false);
            }}
          />
        ) : left ? (
          <LeftAsked
            name={left.name}
            onTold={(leftInTank) => {
              if (leftInTank !== null) {
                tell({ kind: "undone", entryId: left.entryId });
                tell({ ...left.told, leftInTank });
              }
              setLeft(null);
            }}
          />
        ) : asksMorning && page.asked ? (
          <MorningAsked asked={page.asked} asksBelly={page.asksBelly} onTold={tell} onSigns={tellSigns} />
        ) : (
          <>
            {page.today !== today && <p role="status">This page is of {dayText(page.today)}. Open it with a connection for today’s.</p>}
            {said("morning").length > 0 && <p role="status">Thank you. Your trainer sees it before your next visit.</p>}
            <Part aria-label="Today at home">
              <h2>Today at home</h2>
              {page.isRestDay ? (
                <p>A rest day: the joint grows strong while it rests.{page.exercises.length > 0 && " Only the small ones today."}</p>
              ) : page.exercises.length === 0 ? (
                <p>Your trainer has put nothing on your sheet yet.</p>
              ) : (
                <Quiet>{page.days}. Easy is right.</Quiet>
              )}
              {[page.note, ...page.notes].filter(Boolean).map((words) => (
                <p key={words} style={{ whiteSpace: "pre-line" }}>
                  {words}
                </p>
              ))}
              {page.exercises.map((exercise) => {
                const count = done.filter(({ line }) => line === exercise.line).length;
                const of = duesOf(exercise).length;
                const frame = exercise.figure?.frames.at(-1);
                return (
                  <Line key={exercise.line} type="button" onClick={() => setOpen(exercise.line)}>
                    <span>
                      {exercise.figure && frame && <PlainDrawn figure={frame} box={exercise.figure.box} label="" tone="screen" size={80} />}
                    </span>
                    <span>
                      <strong>{exercise.name}</strong>
                      {exercise.dose}
                      {exercise.isOften && ", several times a day"}
                      <br />
                      {count === 0
                        ? "not yet today"
                        : count >= of
                          ? `done today${count > of ? `, ${count} sets` : ""}`
                          : `${count} of ${of} sets done`}
                    </span>
                  </Line>
                );
              })}
            </Part>
            <Part aria-label="This week">
              <h2>{taskQuestion[page.task.task]}: how was it this week?</h2>
              {page.task.isDue && tasks.length === 0 ? (
                <Pair>
                  {levelText.map((label, level) => (
                    <Tap key={label} type="button" onClick={() => tell({ kind: "task", task: page.task.task, level })}>
                      {label}
                    </Tap>
                  ))}
                </Pair>
              ) : (
                <Quiet>Told this week.</Quiet>
              )}
              {trend.length > 0 && (
                <Trend aria-label="How it went before">
                  {trend.map(({ day, level }, i) => (
                    <li key={`${day} ${i}`}>
                      {dayText(day)}: <strong>{levelText[level]?.toLowerCase()}</strong>
                    </li>
                  ))}
                </Trend>
              )}
            </Part>
            <Tap type="button" $tone="stop" onClick={() => setListing(true)}>
              Something is wrong
            </Tap>
          </>
        )}
        {!isKept && <p role="alert">This phone keeps nothing: leave this page open until everything is with your trainer.</p>}
        {hasEnded && (
          <p role="alert">
            This link has ended. Ask your trainer for a new one
            {waiting > 0 ? "; what is still only on this phone goes on by itself once you open it here" : ""}.
          </p>
        )}
        {waiting > 0 && !hasEnded && (
          <p role="status">{waiting === 1 ? "One answer is" : `${waiting} answers are`} still only on this phone, and goes on by itself.</p>
        )}
        {refused.length > 0 && (
          <p role="status">
            {refused.length === 1 ? "One answer was" : `${refused.length} answers were`} not taken:{" "}
            {CLIENT_REFUSALS[refused[0]?.refusal ?? ""] ?? "tell your trainer"}.{" "}
            <LinkTap type="button" onClick={sendAgain}>
              Send again
            </LinkTap>
          </p>
        )}
      </Body>
      <Foot>
        <strong>{NOBODY_WATCHES}</strong>
        <LinkTap type="button" aria-expanded={isStopping} onClick={() => setStopping(!isStopping)}>
          What is shared, and how to stop it
        </LinkTap>
        {isStopping && (
          <>
            {SHARED.map((words) => (
              <p key={words}>{words}</p>
            ))}
            <StopSharing token={token} />
          </>
        )}
      </Foot>
    </Phone>
  );
}

/** Ends the link from the client's side, after one more question. */
function StopSharing({ token }: { token: string }) {
  const [isSure, setSure] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const stop = async (): Promise<void> => {
    const headers = { "content-type": "application/json" };
    const response = await fetch(`/api/me/${token}/stop`, { method: "POST", headers, body: "{}" }).catch(() => null);
    if (response?.ok) location.reload();
    else setSaid("Not stopped: there is no connection. Try again, or ask your trainer.");
  };
  return (
    <>
      {isSure ? (
        <Pair>
          <Tap type="button" $tone="stop" onClick={() => void stop()}>
            Yes, end this page
          </Tap>
          <Tap type="button" onClick={() => setSure(false)}>
            No, keep it
          </Tap>
        </Pair>
      ) : (
        <Tap type="button" $tone="stop" onClick={() => setSure(true)}>
          Stop sharing
        </Tap>
      )}
      {said && <p role="alert">{said}</p>}
    </>
  );
}
