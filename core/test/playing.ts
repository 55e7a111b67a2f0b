import type { Font, Preset, Saber, Sound } from '@nubrin/core/record'

/** Gives a preset a font of its own with these sounds. */
export function playing(s: Pick<Saber, 'fonts'>, p: Preset, sounds: Sound[], more: Partial<Font> = {}): Font {
  const font: Font = { id: `${p.id}-own`, name: `font of ${p.name}`, is: 'font', sounds, ...more }
  s.fonts.push(font)
  p.font = font.id
  return font
}
