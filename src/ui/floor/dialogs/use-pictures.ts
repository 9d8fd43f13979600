"use client";
import { useCallback, useEffect, useState } from "react";
import { sendFile } from "../../kit/send-file";
import type { Owner, TabletPicture } from "../../../outbox/floor/event-store";
import { useOutbox } from "../../outbox/use-outbox";

const LONGEST_SIDE_PX = 1600;
const QUALITY = 0.82;

/** A picture drawn anew and small, without place, time or camera; null where it is none. */
export async function shrunk(file: File): Promise<string | null> {
  const bitmap = await createImageBitmap(file, { imageOrientation: "from-image" }).catch(() => null);
  if (!bitmap) return null;
  const scale = Math.min(1, LONGEST_SIDE_PX / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement("canvas");
  [canvas.width, canvas.height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  canvas.getContext("2d")?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return canvas.toDataURL("image/jpeg", QUALITY);
}
const bytesOf = (jpeg: string): Blob => new Blob([Uint8Array.from(atob(jpeg.slice(jpeg.indexOf(",") + 1)), (char) => char.charCodeAt(0))]);

export interface TabletPictures {
  all: readonly TabletPicture[];
  /** Kept on this tablet alone; false where it cannot keep it. */
  add: (picture: TabletPicture) => Promise<boolean>;
  /** The client agrees: on to the studio, and off this tablet. What went wrong in words, or null. */
  agree: (picture: TabletPicture) => Promise<string | null>;
  erase: (id: string) => Promise<void>;
}

/** Pictures of this client's repetitions that are on this tablet alone. */
export function usePictures(owner: Owner, clientId: string): TabletPictures {
  const { outbox, state } = useOutbox(owner);
  const [all, setAll] = useState<readonly TabletPicture[]>([]);
  const store = outbox?.store;
  const reread = useCallback(async () => {
    setAll((await store?.picturesOf(clientId).catch(() => [])) ?? []);
  }, [store, clientId]);
  useEffect(() => {
    let isCurrent = true;
    if (store && state.isReady)
      void store.picturesOf(clientId).then(
        (found) => isCurrent && setAll(found),
        () => undefined,
      );
    return () => {
      isCurrent = false;
    };
  }, [store, state.isReady, clientId]);
  const erase = async (id: string): Promise<void> => {
    await store?.dropPicture(id).catch(() => undefined);
    await reread();
  };
  return {
    all,
    erase,
    add: async (picture) => {
      const isKept = store
        ? await store.putPicture(picture).then(
            () => true,
            () => false,
          )
        : false;
      await reread();
      return isKept;
    },
    agree: async ({ id, clientId: of, jpeg, sessionId, itemId, day, view, words }) => {
      const problem = await sendFile(`/api/pictures/${of}/${id}`, { sessionId, itemId, day, view, words }, bytesOf(jpeg));
      if (problem === null) await erase(id);
      return problem;
    },
  };
}
