import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { inflateSync } from 'node:zlib'
import { drawSection, drawUnrolled, inkOf, pathData, type Scene, TEXT_INK } from '@nubrin/core/drawing'
import type { Block, HandoffDocument } from '@nubrin/core/handoff'
import type { Commission, Saber } from '@nubrin/core/record'
import { say } from '@nubrin/core/words'
import {
  Circle,
  Document,
  Font,
  G,
  Page,
  Path,
  renderToBuffer,
  StyleSheet,
  Svg,
  Text as SvgText,
  Text,
  View,
} from '@react-pdf/renderer'
import fonts from 'fonteditor-core'
import type { ReactElement } from 'react'

const require = createRequire(import.meta.url)
/** A font of the package, unpacked once: the PDF writer would unpack a WOFF's outlines again for every letter. */
const archivo = (weight: number, set: string) => {
  const packed = readFileSync(require.resolve(`@fontsource/archivo/files/archivo-${set}-${weight}-normal.woff`))
  const plain = fonts.woff2ttf(new Uint8Array(packed).buffer, {
    inflate: (bytes) => [...inflateSync(Uint8Array.from(bytes))],
  })
  return `data:font/ttf;base64,${Buffer.from(plain).toString('base64')}`
}
let unpacked = false
/** Makes Archivo known, with the first PDF rather than at every start of the server. */
function unpackFonts() {
  if (unpacked) return
  for (const [family, set] of [
    ['Archivo', 'latin'],
    ['ArchivoExt', 'latin-ext'],
  ] as const)
    Font.register({
      family,
      fonts: [400, 600, 700].map((fontWeight) => ({ src: archivo(fontWeight, set), fontWeight })),
    })
  unpacked = true
}
// Everything Archivo has no shape for: Greek, Cyrillic, mathematical signs.
const dejavu = (name: string) => require.resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`)
Font.register({
  family: 'DejaVu',
  fonts: [
    { src: dejavu('DejaVuSansCondensed'), fontWeight: 400 },
    { src: dejavu('DejaVuSansCondensed-Bold'), fontWeight: 600 },
    { src: dejavu('DejaVuSansCondensed-Bold'), fontWeight: 700 },
  ],
})
Font.registerHyphenationCallback((word) => [word])

const FAMILY = ['Archivo', 'ArchivoExt', 'DejaVu']
const INK = '#1e2a2b'
const QUIET = '#5d5749'
const BRASS = '#8f651f'
const RULE = '#cfc5b0'
const s = StyleSheet.create({
  page: {
    fontFamily: FAMILY,
    fontSize: 9.4,
    color: INK,
    paddingTop: 46,
    paddingBottom: 54,
    paddingHorizontal: 48,
    lineHeight: 1.35,
  },
  cover: { marginBottom: 14 },
  shop: { fontSize: 10, color: QUIET, marginBottom: 70 },
  title: { fontSize: 34, fontWeight: 700, lineHeight: 1.1 },
  client: { fontSize: 15, marginTop: 8, marginBottom: 26 },
  h: {
    fontSize: 13.5,
    fontWeight: 700,
    marginTop: 16,
    marginBottom: 6,
    paddingBottom: 3,
    borderBottomWidth: 0.8,
    borderBottomColor: INK,
  },
  row: { flexDirection: 'row', borderBottomWidth: 0.4, borderBottomColor: RULE, paddingVertical: 2.6 },
  head: { fontWeight: 600, color: QUIET, fontSize: 8.2 },
  name: { width: '34%', color: QUIET },
  value: { width: '66%' },
  caution: { borderLeftWidth: 2.4, borderLeftColor: BRASS, paddingLeft: 8, marginBottom: 6 },
  bold: { fontWeight: 600 },
  step: { flexDirection: 'row', marginBottom: 2.4 },
  number: { width: 18, fontWeight: 700, color: BRASS },
  footer: {
    position: 'absolute',
    bottom: 26,
    left: 48,
    right: 48,
    flexDirection: 'row',
    justifyContent: 'space-between',
    fontSize: 7.8,
    color: QUIET,
  },
})

function Drawing({ scene, width }: { scene: Scene; width: number }): ReactElement {
  return (
    <Svg
      viewBox={`0 0 ${scene.width} ${scene.height}`}
      style={{ width, height: (width * scene.height) / scene.width, marginBottom: 6 }}
    >
      <G>
        {scene.prims.map((p, i) => {
          if (p.t === 'text') {
            const k = TEXT_INK[p.role]
            return (
              <SvgText
                key={i}
                x={p.at[0]}
                y={p.at[1]}
                fill={k.fill}
                textAnchor={p.anchor}
                style={{ fontSize: k.size, fontFamily: FAMILY, fontWeight: k.weight >= 600 ? 600 : 400 }}
              >
                {p.text}
              </SvgText>
            )
          }
          const k = inkOf(p)
          const common = {
            fill: k.fill,
            stroke: k.stroke === 'none' ? undefined : k.stroke,
            strokeWidth: k.width,
            ...(k.dash ? { strokeDasharray: k.dash } : {}),
            ...(k.opacity ? { opacity: k.opacity } : {}),
          }
          return p.t === 'circle' ? (
            <Circle key={i} cx={p.at[0]} cy={p.at[1]} r={p.r} {...common} />
          ) : (
            <Path key={i} d={pathData(p.pts, p.closed)} {...common} />
          )
        })}
      </G>
    </Svg>
  )
}

const columnWidths = (n: number): string[] =>
  n === 5
    ? ['7%', '22%', '19%', '33%', '19%']
    : n === 4
      ? ['24%', '32%', '26%', '18%']
      : n === 3
        ? ['40%', '36%', '24%']
        : ['50%', '50%']

function BlockView({
  block,
  sabers,
  width,
}: {
  block: Block
  sabers: Map<string, Saber>
  width: number
}): ReactElement | null {
  switch (block.kind) {
    case 'para':
      return <Text style={{ marginBottom: 5 }}>{block.text}</Text>
    case 'facts':
      return (
        <View style={{ marginBottom: 6 }}>
          {block.rows.map((r) => (
            <View key={r.name} style={s.row} wrap={false}>
              <Text style={s.name}>{r.name}</Text>
              <Text style={s.value}>{r.value}</Text>
            </View>
          ))}
        </View>
      )
    case 'table': {
      const widths = columnWidths(block.head.length)
      return (
        <View style={{ marginBottom: 6 }}>
          <View style={s.row} minPresenceAhead={30}>
            {block.head.map((h, i) => (
              <Text key={h} style={[s.head, { width: widths[i], paddingRight: 6 }]}>
                {h}
              </Text>
            ))}
          </View>
          {block.rows.map((row, r) => (
            <View key={r} style={s.row} wrap={false}>
              {row.map((cell, i) => (
                <View key={i} style={{ width: widths[i], paddingRight: 6, flexDirection: 'row' }}>
                  {block.swatch?.[r] && i === 2 ? (
                    <View
                      style={{
                        width: 9,
                        height: 9,
                        marginRight: 4,
                        marginTop: 1.5,
                        backgroundColor: block.swatch[r],
                        borderWidth: 0.5,
                        borderColor: INK,
                      }}
                    />
                  ) : null}
                  <Text style={{ flex: 1 }}>{cell}</Text>
                </View>
              ))}
            </View>
          ))}
        </View>
      )
    }
    case 'steps':
      return (
        <View style={{ marginBottom: 8 }}>
          <Text style={[s.bold, { marginBottom: 3 }]} minPresenceAhead={40}>
            {block.title}
          </Text>
          {block.steps.map((t, i) => (
            <View key={i} style={s.step} wrap={false}>
              <Text style={s.number}>{i + 1}</Text>
              <View style={{ flex: 1 }}>
                <Text>
                  {t.text}
                  {t.tool ? ` (${t.tool})` : ''}
                  {t.place ? ` – ${t.place}` : ''}
                </Text>
                {t.caution ? (
                  <Text style={{ color: BRASS, fontWeight: 600 }}>{say('pdf.caution', { text: t.caution })}</Text>
                ) : null}
              </View>
            </View>
          ))}
        </View>
      )
    case 'caution':
      return (
        <View style={s.caution} wrap={false}>
          <Text style={s.bold}>{block.title}</Text>
          <Text>{block.text}</Text>
        </View>
      )
    case 'drawing': {
      const saber = sabers.get(block.saber)!
      const scene =
        block.which === 'section'
          ? drawSection(saber, {
              width: 900,
              height: 240,
              ...(saber.presets[0] ? { blade: saber.presets[0].colour } : {}),
            })
          : drawUnrolled(saber, { width: 900, height: 220 })
      return (
        <View wrap={false}>
          <Drawing scene={scene} width={width} />
        </View>
      )
    }
    case 'script':
      return (
        <View>
          {block.beats.map((b) => (
            <View key={b.n} style={s.step} wrap={false}>
              <Text style={s.number}>{b.n}</Text>
              <Text style={{ flex: 1 }}>
                {b.say}
                {b.show ? ` [${b.show}]` : ''}
              </Text>
            </View>
          ))}
        </View>
      )
  }
}

/** The handoff record as PDF, A4 or Letter. The drawing of each saber is made from its record, in lines, not pixels. */
export async function handoffPdf(doc: HandoffDocument, c: Commission, paper: 'A4' | 'Letter'): Promise<Buffer> {
  unpackFonts()
  const sabers = new Map(c.sabers.map((x) => [x.id, x]))
  const width = (paper === 'A4' ? 595 : 612) - 96
  const first = c.sabers[0]!
  const cover = drawSection(first, {
    width: 900,
    height: 250,
    ...(first.presets[0] ? { blade: first.presets[0].colour } : {}),
  })
  return renderToBuffer(
    <Document
      title={say('pdf.title', { title: doc.title })}
      author={doc.shop}
      subject={say('cover.for', { client: doc.client })}
      creator="Nubrin"
      producer="Nubrin"
    >
      <Page size={paper === 'A4' ? 'A4' : 'LETTER'} style={s.page}>
        <Text style={s.shop}>{say('cover.line', { shop: doc.shop, number: doc.number, date: doc.date })}</Text>
        <Text style={s.title}>{doc.title}</Text>
        <Text style={s.client}>{say('cover.for', { client: doc.client })}</Text>
        <Drawing scene={cover} width={width} />
        <View style={{ marginTop: 24 }}>
          {doc.chapters.map((ch, i) => (
            <Text key={ch.id} style={{ marginBottom: 1.5, color: QUIET }}>
              {i + 1}. {ch.title}
            </Text>
          ))}
        </View>
        <Text style={{ marginTop: 20, color: QUIET }}>{say('cover.legend')}</Text>
        <Foot doc={doc} />
      </Page>
      <Page size={paper === 'A4' ? 'A4' : 'LETTER'} style={s.page}>
        {doc.chapters.map((ch) => (
          <View key={ch.id}>
            <Text style={s.h} minPresenceAhead={60}>
              {ch.title}
            </Text>
            {ch.blocks.map((b, i) => (
              <BlockView key={i} block={b} sabers={sabers} width={width} />
            ))}
          </View>
        ))}
        <Foot doc={doc} />
      </Page>
    </Document>,
  )
}

const Foot = ({ doc }: { doc: HandoffDocument }) => (
  <View style={s.footer} fixed>
    <Text>{say('pdf.foot', { title: doc.title, client: doc.client })}</Text>
    <Text render={({ pageNumber, totalPages }) => say('pdf.page', { page: pageNumber, of: totalPages })} />
  </View>
)
