/** A text as the SVG of a QR code. */
export const qr = async (text: string): Promise<string> =>
  (await import('qrcode')).default.toString(text, { type: 'svg', margin: 1 })
