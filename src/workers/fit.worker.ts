import { expose } from "comlink";
import { type Candidate, fitCatalogue, type FitContext, type Setting, variationsOf } from "../core";

/** The catalogue search, off the page's thread. */
export class FitWorker {
  search(context: FitContext, known: Setting): Candidate[] {
    return fitCatalogue(context, variationsOf("squat"), known);
  }
}

expose(new FitWorker());
