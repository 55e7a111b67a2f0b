import { type RestedLine, restsOf } from '@nubrin/core/handoff'
import { loadLanguages } from '@nubrin/core/languages'
import type { Commission } from '@nubrin/core/record'

loadLanguages()

/** What each line of a chapter rests on. */
self.onmessage = (e: MessageEvent<{ record: Commission; chapter: string }>) => {
  const { record, chapter } = e.data
  self.postMessage({ chapter, lines: restsOf(record, chapter) } satisfies { chapter: string; lines: RestedLine[] })
}
