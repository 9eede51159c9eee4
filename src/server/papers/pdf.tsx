import { Document, Page, Path, renderToBuffer, StyleSheet, Svg, Text, View } from '@react-pdf/renderer';
import type { Paper, PaperBlock, PaperDrawing, PaperShape, PaperTone } from '../../contract';
import { FIGURES, WORDS } from './fonts';

/** Tones on white paper. */
const INK: Readonly<Record<PaperTone, string>> = {
  plain: '#1c1a16',
  soft: '#8d8372',
  good: '#2c6731',
  work: '#7d560b',
  gone: '#9a2d1a',
  open: '#2f5480',
  act: '#12513b',
  code: '#000000',
  ground: '#ffffff',
};

const styles = StyleSheet.create({
  page: { padding: 40, fontFamily: WORDS, fontSize: 10.5, lineHeight: 1.35, color: INK.plain },
  tag: { padding: 16, fontFamily: WORDS, fontSize: 9, lineHeight: 1.3, color: INK.plain },
  head: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    borderTopWidth: 2,
    borderTopColor: INK.plain,
    paddingTop: 8,
  },
  title: { fontSize: 18, fontWeight: 700, lineHeight: 1.25, marginBottom: 3 },
  reference: { fontSize: 14, fontWeight: 700, fontFamily: FIGURES },
  foot: { marginTop: 10, fontSize: 8, fontFamily: FIGURES, color: INK.soft },
  heading: {
    fontSize: 12.5,
    lineHeight: 1.3,
    fontWeight: 700,
    marginTop: 12,
    borderBottomWidth: 0.7,
    borderBottomColor: INK.soft,
  },
  block: { marginTop: 5 },
  row: { flexDirection: 'row' },
  strong: { fontWeight: 700 },
  small: { fontSize: 8.5, color: '#565046' },
  lead: { fontSize: 13, lineHeight: 1.3, fontWeight: 700 },
  figures: { fontFamily: FIGURES, fontWeight: 700 },
  cell: { flex: 1, paddingRight: 6, paddingVertical: 2 },
  line: { borderBottomWidth: 0.5, borderBottomColor: '#cdc3b1' },
  headLine: { borderBottomWidth: 1.2, borderBottomColor: INK.plain },
  notice: {
    marginTop: 7,
    paddingVertical: 5,
    paddingHorizontal: 8,
    borderLeftWidth: 3,
    backgroundColor: '#f6efdd',
    borderLeftColor: INK.work,
  },
});

const LOOK = { strong: styles.strong, small: styles.small, lead: styles.lead } as const;

/** Width of a page's text, points: drawings take their share of it. */
const TEXT_WIDTH = { page: 515, tag: 188 } as const;

function Shape({ shape }: { readonly shape: PaperShape }) {
  if (shape.is === 'text') {
    return (
      <Text
        x={shape.x}
        y={shape.y}
        style={{ fontSize: shape.size, fontFamily: WORDS }}
        textAnchor={shape.anchor}
        fill={shape.tone === 'soft' ? '#565046' : INK[shape.tone]}
      >
        {shape.text}
      </Text>
    );
  }
  return (
    <Path
      d={shape.d}
      fill={shape.fill ? INK[shape.fill] : 'none'}
      {...(shape.stroke ? { stroke: INK[shape.stroke], strokeWidth: shape.width ?? 1 } : {})}
      {...(shape.dash ? { strokeDasharray: shape.dash } : {})}
    />
  );
}

function Drawing({ drawing, width }: { readonly drawing: PaperDrawing; readonly width: number }) {
  const wide = drawing.share * width;
  return (
    <View style={styles.block} wrap={false}>
      <Svg
        viewBox={`0 0 ${drawing.width} ${drawing.height}`}
        style={{ width: wide, height: (wide * drawing.height) / drawing.width }}
      >
        {drawing.shapes.map((shape, i) => (
          <Shape key={i} shape={shape} />
        ))}
      </Svg>
    </View>
  );
}

function Table({ title, head, rows, large = false }: Extract<PaperBlock, { is: 'table' }>) {
  const cells = (row: readonly string[], style: { readonly fontWeight?: number; readonly fontFamily?: string[] }) =>
    row.map((cell, i) => (
      <View key={i} style={{ ...styles.cell, flex: i === 0 && !large ? 1.6 : 1 }}>
        <Text style={i === 0 ? {} : style}>{cell}</Text>
      </View>
    ));
  return (
    <View style={styles.block}>
      <Text style={styles.lead} minPresenceAhead={40}>
        {title}
      </Text>
      <View style={[styles.row, styles.headLine]}>{cells(head, styles.strong)}</View>
      {rows.map((row, i) => (
        <View key={i} style={[styles.row, styles.line, large ? { fontSize: 13 } : {}]} wrap={false}>
          {cells(row, styles.figures)}
        </View>
      ))}
    </View>
  );
}

function Numbers({ items }: Extract<PaperBlock, { is: 'numbers' }>) {
  return (
    <View
      style={[styles.row, styles.block, { borderTopWidth: 1.2, borderBottomWidth: 1.2, paddingVertical: 4 }]}
      wrap={false}
    >
      {items.map(({ name, value, note }) => (
        <View key={name} style={styles.cell}>
          <Text style={styles.small}>{name}</Text>
          <Text style={[styles.figures, { fontSize: 20, lineHeight: 1.15 }]}>{value}</Text>
          <Text>{note}</Text>
        </View>
      ))}
    </View>
  );
}

function Block({ block, width }: { readonly block: PaperBlock; readonly width: number }) {
  switch (block.is) {
    case 'heading':
      return (
        <Text style={styles.heading} minPresenceAhead={30}>
          {block.text}
        </Text>
      );
    case 'text':
      return <Text style={[styles.block, block.look ? LOOK[block.look] : {}]}>{block.text}</Text>;
    case 'list':
      return (
        <View style={styles.block}>
          {block.items.map((text, i) => (
            <View key={i} style={styles.row} wrap={false}>
              <Text style={{ width: 16 }}>{block.numbered ? `${i + 1}.` : '•'}</Text>
              <Text style={{ flex: 1 }}>{text}</Text>
            </View>
          ))}
        </View>
      );
    case 'numbers':
      return <Numbers {...block} />;
    case 'pairs':
      return (
        <View style={styles.block}>
          {block.items.map(({ name, value }) => (
            <View key={name} style={styles.row} wrap={false}>
              <Text style={{ flex: 1 }}>{name}</Text>
              <Text style={[styles.figures, { flex: 1 }]}>{value}</Text>
            </View>
          ))}
        </View>
      );
    case 'marks':
      return (
        <View style={styles.block}>
          {block.items.map(({ tone, word, text }, i) => (
            <Text key={i} style={{ marginTop: 2 }}>
              <Text style={{ fontWeight: 700, color: INK[tone] }}>{word}</Text> {text}
            </Text>
          ))}
        </View>
      );
    case 'table':
      return <Table {...block} />;
    case 'notice':
      return (
        <View style={styles.notice} wrap={false}>
          {block.items.map((text, i) => (
            <Text key={i}>{text}</Text>
          ))}
        </View>
      );
    case 'section':
      return (
        <View>
          {[{ is: 'heading', text: block.title } as const, ...block.blocks].map((each, i) => (
            <Block key={i} block={each} width={width} />
          ))}
        </View>
      );
    case 'drawing':
      return <Drawing drawing={block.drawing} width={width} />;
    case 'columns':
      return (
        <View style={styles.row}>
          {block.columns.map((column, i) => (
            <View key={i} style={{ flex: 1, paddingRight: 12 }}>
              {column.map((each, k) => (
                <Block key={k} block={each} width={width / block.columns.length - 12} />
              ))}
            </View>
          ))}
        </View>
      );
  }
}

/** The size of a tag to tie to a saw, points: 78 × 128 mm. */
const TAG_SIZE = { width: 220, height: 363 };

/** Writes a paper as PDF, with the fonts that ship with the application. */
export function paperPdf(paper: Paper): Promise<Buffer> {
  const isTag = paper.size === 'tag';
  const width = TEXT_WIDTH[paper.size];
  return renderToBuffer(
    <Document
      title={`${paper.title} ${paper.tag}`.trim()}
      author={paper.shop.name}
      creator="Serrata"
      producer="Serrata"
    >
      <Page size={isTag ? TAG_SIZE : 'A4'} style={isTag ? styles.tag : styles.page}>
        <View style={styles.head}>
          <Text style={styles.title}>{paper.title}</Text>
          <Text style={styles.reference}>{paper.tag}</Text>
        </View>
        {paper.lines.map((line, i) => (
          <Text key={i}>{line}</Text>
        ))}
        {paper.blocks.map((block, i) => (
          <Block key={i} block={block} width={width} />
        ))}
        {paper.foot && <Text style={styles.foot}>{paper.foot}</Text>}
      </Page>
    </Document>,
  );
}
