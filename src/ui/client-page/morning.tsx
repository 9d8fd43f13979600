"use client";
import { useState } from "react";
import { THAN_USUAL, type HomeTold, type ThanUsual } from "../../core/record/facts/home-told";
import { thanUsualText } from "../../words/client/client";
import { Pair, Part, Tap } from "./parts";
import { SignList } from "./signs";

/** How the morning after is, next to a usual one: each sore place, swelling, and any sign. Three taps where one place is sore and all is well. */
export function MorningAsked(props: {
  asked: readonly { complaintId: string; joint: string }[];
  asksBelly: boolean;
  onTold: (told: Extract<HomeTold, { kind: "morning" }>) => void;
  /** Signs told before the questions were answered: they wait for no answer. */
  onSigns: (signs: readonly string[]) => void;
}) {
  const { asked, asksBelly, onTold, onSigns } = props;
  const [than, setThan] = useState<Readonly<Record<string, ThanUsual>>>({});
  const [newSwelling, setSwelling] = useState<boolean | null>(null);
  const [isListing, setListing] = useState(false);
  const answers = asked.flatMap(({ complaintId }) => (than[complaintId] === undefined ? [] : [{ complaintId, than: than[complaintId] }]));
  const isWhole = answers.length === asked.length && newSwelling !== null;
  const tell = (signs: readonly string[]): void => onTold({ kind: "morning", answers, newSwelling: newSwelling === true, signs });
  return (
    <>
      {asked.map(({ complaintId, joint }) => (
        <Part key={complaintId} aria-label={`The ${joint} this morning`}>
          <h2>How is the {joint}, next to a usual morning?</h2>
          {THAN_USUAL.map((each) => (
            <Tap
              key={each}
              type="button"
              aria-pressed={than[complaintId] === each}
              $tone={than[complaintId] === each ? "chosen" : "plain"}
              onClick={() => setThan((now) => ({ ...now, [complaintId]: each }))}
            >
              {thanUsualText[each]}
            </Tap>
          ))}
        </Part>
      ))}
      <Part aria-label="Swelling">
        <h2>More swollen than usual?</h2>
        <Pair>
          {[false, true].map((each) => (
            <Tap
              key={String(each)}
              type="button"
              aria-pressed={newSwelling === each}
              $tone={newSwelling === each ? "chosen" : "plain"}
              onClick={() => setSwelling(each)}
            >
              {each ? "Yes" : "No"}
            </Tap>
          ))}
        </Pair>
      </Part>
      {isListing ? (
        <SignList asksBelly={asksBelly} onTold={(signs) => (isWhole ? tell(signs) : onSigns(signs))} onNone={() => setListing(false)} />
      ) : (
        <Part aria-label="Anything else">
          <h2>A hot or swollen calf, giving way, numb, fever, pain in the chest, or another sign?</h2>
          <Pair>
            <Tap type="button" disabled={!isWhole} style={isWhole ? {} : { opacity: 0.5 }} onClick={() => tell([])}>
              None of these
            </Tap>
            <Tap type="button" $tone="stop" onClick={() => setListing(true)}>
              Yes, one
            </Tap>
          </Pair>
          {!isWhole && <p>First the questions above.</p>}
        </Part>
      )}
    </>
  );
}
