import { readerOfHandoff } from '@nubrin/core/handoff'
import { loadLanguages } from '@nubrin/core/languages'
import { say } from '@nubrin/core/words'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import './file.css'
import { type ClientRecord, ClientView } from './ClientView'

/** What the file carries: the record, and its photos as they are. */
interface Carried extends ClientRecord {
  keep: string
  photos: Record<string, string>
}

// The client's page as one file: all of it is in it, nothing is fetched, and it is opened from wherever it lies.
const carried = JSON.parse(document.getElementById('carried')!.textContent!) as Carried
const { document: d } = carried
loadLanguages()
document.documentElement.lang = d.language
document.title = say(readerOfHandoff(d), 'page.title', { title: d.title, client: d.client })
const way = { file: { of: d.of, number: d.number } }
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <ClientView page={carried} keep={carried.keep} way={way} mediaUrl={(hash) => carried.photos[hash] ?? ''} />
  </StrictMode>,
)
