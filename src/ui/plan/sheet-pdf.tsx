import { Document, G, Line, Page, Path, Rect, renderToBuffer, StyleSheet, Svg, Text, View } from "@react-pdf/renderer";
import { registerFonts, TEXT } from "../kit/pdf-fonts";
import { boxOf, type PlainFigure } from "../figure/plain-drawn";
import { SHEET_CALL, SHEET_RULES, type SheetLine } from "../../words/training/sheet";

/** The sheet for home as a PDF: A4, real text, black on white, never smaller than 14 points for what is to be done. */

export interface SheetDocument {
  title: string;
  forWhom: string;
  days: string;
  note: string;
  lines: readonly (SheetLine & { figure: PlainFigure | null })[];
  later: readonly string[];
  isLarge: boolean;
}

const styles = (size: number) =>
  StyleSheet.create({
    page: { paddingVertical: 26, paddingHorizontal: 32, fontFamily: TEXT as never, fontSize: size, color: "#000", lineHeight: 1.12 },
    title: { fontSize: size + 8, fontWeight: 700, marginBottom: 2 },
    item: { flexDirection: "row", gap: 12, paddingVertical: 4, borderTop: "1 solid #000" },
    name: { fontWeight: 700, fontSize: size + 2 },
    rules: { marginTop: 4, paddingTop: 4, borderTop: "2 solid #000" },
    call: { marginTop: 6, fontWeight: 700 },
  });

function Drawn({ figure }: { figure: PlainFigure }) {
  const { x, y, width, height } = boxOf(figure);
  const [cx, cy] = figure.head.at;
  const r = figure.head.radius;
  return (
    <Svg viewBox={`${x} ${y} ${width} ${height}`} style={{ width: 82, height: 82 }}>
      <Line x1={x} y1={figure.floorY} x2={x + width} y2={figure.floorY} stroke="#000" strokeWidth={1.5} />
      <G>
        {figure.boxes.map((box, i) => (
          <Rect key={`b${i}`} {...box} fill="#fff" stroke="#000" strokeWidth={1.5} />
        ))}
        {figure.strokes.map(({ from, to, width: w, isBehind }, i) => (
          <Line
            key={i}
            x1={from[0]}
            y1={from[1]}
            x2={to[0]}
            y2={to[1]}
            stroke={isBehind ? "#999" : "#000"}
            strokeWidth={w}
            strokeLinecap="round"
          />
        ))}
        <Path d={`M${cx - r} ${cy} a${r} ${r} 0 1 0 ${2 * r} 0 a${r} ${r} 0 1 0 ${-2 * r} 0`} fill="#000" />
      </G>
    </Svg>
  );
}

function Sheet({ title, forWhom, days, note, lines, later, isLarge }: SheetDocument) {
  const size = isLarge ? 18 : 14;
  const s = styles(size);
  return (
    <Document title={title} language="en">
      <Page size="A4" style={s.page}>
        <Text style={s.title}>{title}</Text>
        <Text>
          {forWhom}: {days}.
        </Text>
        {note !== "" && <Text>{note}</Text>}
        <View style={{ marginTop: 4 }}>
          {lines.map((line) => (
            <View key={line.name} style={s.item} wrap={false}>
              <View style={{ width: 82 }}>{line.figure && <Drawn figure={line.figure} />}</View>
              <View style={{ flex: 1 }}>
                <Text style={s.name}>{line.name}</Text>
                <Text>{[line.setUp, line.setting].filter((part) => part !== "").join(" ")}</Text>
                <Text>
                  <Text style={{ fontWeight: 700 }}>{[line.dose, line.first].filter(Boolean).join("; ")}</Text>
                  {`; ${[line.tempo, line.rest, line.turn].filter(Boolean).join("; ")}`}
                </Text>
                <Text>{line.cues.join(". ")}.</Text>
              </View>
            </View>
          ))}
        </View>
        {later.map((words) => (
          <Text key={words}>{words}</Text>
        ))}
        <View style={s.rules} wrap={false}>
          <Text>{SHEET_RULES.join(" ")}</Text>
          <Text style={s.call}>{SHEET_CALL}</Text>
        </View>
      </Page>
    </Document>
  );
}

export async function sheetPdf(sheet: SheetDocument): Promise<Buffer> {
  registerFonts();
  return renderToBuffer(<Sheet {...sheet} />);
}
