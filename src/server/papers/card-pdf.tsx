import { Document, Page, Rect, renderToBuffer, Svg, Text, View } from '@react-pdf/renderer';
import { CARD_IDS, CARDS, inkOf, scaleLineOf, squaresOf, type CardId } from '../../core/picture';
import { flatMap } from '../../core/flat-map';
import type { CardPaper } from '../use-cases/scale-card';
import { FIGURES, WORDS } from './fonts';
import * as texts from '#language/screens/card';

/** Papers that a card is printed on, points. */
const SHEETS = { A4: 'A4', letter: 'LETTER' } as const satisfies Record<CardPaper, string>;

const POINTS_PER_MM = 72 / 25.4;
const HEADINGS = { A5: texts.large, A6: texts.small } as const satisfies Record<CardId, string>;

/** A card in its very size: what is printed at 100 % measures what it says. */
function Card({ card }: { readonly card: CardId }) {
  const { width, height } = CARDS[card];
  const ink = [...flatMap(squaresOf(card), inkOf), ...scaleLineOf(card)];
  return (
    <Svg
      viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
      style={{ width: width * POINTS_PER_MM, height: height * POINTS_PER_MM, alignSelf: 'center' }}
    >
      <Rect
        x={-width / 2 + 0.05}
        y={-height / 2 + 0.05}
        width={width - 0.1}
        height={height - 0.1}
        fill="none"
        stroke="#9a9a9a"
        strokeWidth={0.1}
      />
      {ink.map((each, i) => (
        <Rect key={i} x={each.x} y={-each.y} width={each.width} height={each.height} fill="#000000" />
      ))}
    </Svg>
  );
}

/** The cards as PDF, one a page, each with how to use it. */
export const cardPdf = (paper: CardPaper): Promise<Buffer> =>
  renderToBuffer(
    <Document title={texts.title} creator="Serrata" producer="Serrata">
      {CARD_IDS.map((card) => (
        <Page
          key={card}
          size={SHEETS[paper]}
          style={{ paddingVertical: 24, fontFamily: WORDS, fontSize: 10, lineHeight: 1.35 }}
        >
          <Card card={card} />
          <View style={{ paddingHorizontal: 60, paddingTop: 10 }}>
            <Text style={{ fontFamily: FIGURES, fontSize: 8 }}>{texts.line}</Text>
            <Text style={{ marginTop: 2, fontSize: 8 }}>{texts.cut}</Text>
            <Text style={{ marginTop: 14, fontSize: 14, fontWeight: 700 }}>{HEADINGS[card]}</Text>
            {texts.steps.map((step, i) => (
              <Text key={step} style={{ marginTop: 5 }}>
                {i + 1}. {step}
              </Text>
            ))}
            <Text style={{ marginTop: 8 }}>{texts.stillByCaliper}</Text>
          </View>
        </Page>
      ))}
    </Document>,
  );
