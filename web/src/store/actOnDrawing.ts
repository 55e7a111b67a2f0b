/** An act on the drawing: its number, the thing it is done to, and the way a hand goes. */
export interface ActOnDrawing {
  ref: string
  n: number
  way: 'clockwise' | 'anticlockwise' | 'pommel' | 'emitter' | 'up' | 'down' | undefined
}
