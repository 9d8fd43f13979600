import type { OwnProblem } from "../../core/catalogue/own";
import { unreachable } from "../../core/reasons";
import type { LeverId } from "../../core/templates/lever";
import { poseFailureText } from "./fit";
import { leverName } from "../basics/lever";

/** What is wrong with a row of one's own, and so what to change. */
export function ownProblemText(problem: OwnProblem): string {
  switch (problem.code) {
    case "form":
      return `Its form does not hold together: ${problem.problem}.`;
    case "name-taken":
      return `There is one called ${problem.by} already: choose another name.`;
    case "lever-missing":
      return `It needs the lever it moves along: ${leverName(problem.lever as LeverId).toLowerCase()}.`;
    case "start-outside":
      return `${leverName(problem.lever as LeverId)} starts outside its range.`;
    case "start-impossible":
      return `A client of ${Math.round(problem.heightM * 100)} cm and ${problem.massKg} kg cannot be at its start: ${poseFailureText(problem.reason)}.`;
    case "no-such-row":
      return `There is no row ${problem.row} in the catalogue.`;
    case "leads-back":
      return `${problem.row} cannot be harder: it leads back to one that is easier.`;
    case "trains-nothing":
      return "Say what it trains: at least one score.";
    case "too-few-cues":
      return "Give it two cues or more.";
    case "set-up-short":
      return "Say how it is set up, in a sentence.";
    default:
      return unreachable(problem);
  }
}
