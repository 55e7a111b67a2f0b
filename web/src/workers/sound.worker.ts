import { readWav } from '@nubrin/core/voice'

self.onmessage = (e: MessageEvent<ArrayBuffer>) => self.postMessage(readWav(new Uint8Array(e.data)))
