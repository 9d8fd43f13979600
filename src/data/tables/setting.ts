import { type Setting, SETTING_VERSION } from "../../core/templates/lever";

/** A setting as it is stored: it says which version of its meaning it was written in. */
export type StoredSetting = Setting & { version: number };

export const toStored = (setting: Setting): StoredSetting => ({ version: SETTING_VERSION, ...setting });
export function fromStored({ version: _version, ...setting }: StoredSetting): Setting {
  return setting;
}
