"use client";
import type { Beat } from "../../../core/dose/beats";

const TONES = {
  lower: { hz: 392, lengthS: 0.14 },
  pause: { hz: 330, lengthS: 0.14 },
  rise: { hz: 587, lengthS: 0.14 },
  count: { hz: 494, lengthS: 0.14 },
  end: { hz: 784, lengthS: 0.5 },
} as const satisfies Record<Beat["kind"], { hz: number; lengthS: number }>;

/** The second of two voices is a fourth higher and rounder, and comes from the other side. */
const A_FOURTH = 4 / 3;
const TO_ONE_SIDE = 0.6;

/** Short tones, put ahead on the audio clock so that a busy page delays none. The context is made on the first tap, as browsers ask. */
export class Tones {
  private context: AudioContext | null = null;
  private ahead: { oscillator: OscillatorNode; atS: number }[] = [];

  /** The audio clock now, seconds. */
  nowS(): number {
    this.context ??= new AudioContext();
    return this.context.currentTime;
  }

  /** `atS` by the audio clock; now where it is past. */
  put(kind: Beat["kind"], atS = 0, voice: 0 | 1 | null = null): void {
    const startS = Math.max(atS, this.nowS());
    const { context } = this;
    if (!context) return;
    const { hz, lengthS } = TONES[kind];
    const [oscillator, gain] = [context.createOscillator(), context.createGain()];
    oscillator.frequency.value = voice === 1 ? hz * A_FOURTH : hz;
    if (voice === 1) oscillator.type = "triangle";
    gain.gain.setValueAtTime(0.18, startS);
    gain.gain.exponentialRampToValueAtTime(0.001, startS + lengthS);
    oscillator.connect(gain);
    if (voice === null) gain.connect(context.destination);
    else {
      const pan = context.createStereoPanner();
      pan.pan.value = voice === 0 ? -TO_ONE_SIDE : TO_ONE_SIDE;
      gain.connect(pan).connect(context.destination);
    }
    oscillator.start(startS);
    oscillator.stop(startS + lengthS);
    this.ahead = [...this.ahead.filter((each) => each.atS > this.nowS()), { oscillator, atS: startS }];
  }

  /** What was put ahead is not heard any more. */
  silence(): void {
    const nowS = this.context?.currentTime ?? 0;
    for (const { oscillator, atS } of this.ahead) if (atS > nowS) oscillator.disconnect();
    this.ahead = [];
  }
}
