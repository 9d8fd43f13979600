"use client";
import { answerScreenAction } from "../../actions/screen";
import type { ScreenAnswers } from "../../core/screen/screen";
import { useStep } from "../kit/use-step";

export interface QuestionProps {
  clientId: string;
  answers: ScreenAnswers;
  onDone: () => void;
}
/** Keeps one answered question; what goes wrong is said and nothing entered is lost. */
export function useAnswer({ clientId, onDone }: QuestionProps) {
  const { take, isTaking, problem } = useStep();
  const keep = (part: object): void => take((stepId) => answerScreenAction(clientId, part, stepId), onDone);
  return { keep, isTaking, problem };
}
