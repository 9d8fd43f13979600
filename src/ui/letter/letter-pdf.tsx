import { Document, Page, renderToBuffer, StyleSheet, Text, View } from "@react-pdf/renderer";
import type { SummaryLetter } from "../../core/studio/letter";
import { registerFonts, TEXT } from "../kit/pdf-fonts";
import { longDayText } from "../../words/basics/day";
import { LETTER_FOOT, sectionTitle } from "../../formats/letter";

/** A letter as a PDF: A4, real text, black on white. */
export interface LetterDocument extends SummaryLetter {
  studioName: string;
  clientName: string;
  birthYear: number;
}

const styles = StyleSheet.create({
  page: { paddingVertical: 44, paddingHorizontal: 50, fontFamily: TEXT as never, fontSize: 11, color: "#000", lineHeight: 1.35 },
  title: { fontSize: 17, fontWeight: 700, marginTop: 14, marginBottom: 4 },
  head: { fontSize: 12.5, fontWeight: 700, marginTop: 10, marginBottom: 2 },
  foot: { marginTop: 16, paddingTop: 6, borderTop: "1 solid #000", fontSize: 9.5 },
});

function Letter({ studioName, clientName, birthYear, day, by, to, sinceDay, sections }: LetterDocument) {
  return (
    <Document title={`${clientName}, ${day}`} language="en">
      <Page size="A4" style={styles.page}>
        <Text style={{ fontWeight: 700 }}>{studioName}</Text>
        <Text>{longDayText(day)}</Text>
        {to !== "" && <Text style={{ marginTop: 10 }}>{to}</Text>}
        <Text style={styles.title}>
          {clientName}, born {birthYear}
        </Text>
        <Text>Since {longDayText(sinceDay)}</Text>
        {sections.map(({ id, words }) => (
          <View key={id}>
            <Text style={styles.head} minPresenceAhead={30}>
              {sectionTitle[id]}
            </Text>
            {words.split("\n").map((line, i) => (
              <Text key={i}>{line}</Text>
            ))}
          </View>
        ))}
        <Text style={{ marginTop: 16 }}>{by}</Text>
        <Text style={styles.foot}>{LETTER_FOOT}</Text>
      </Page>
    </Document>
  );
}

export async function letterPdf(letter: LetterDocument): Promise<Buffer> {
  registerFonts();
  return renderToBuffer(<Letter {...letter} />);
}
