export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
/** As it stands within a sentence. */
export const inSentence = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
