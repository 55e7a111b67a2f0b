import { say } from '@nubrin/core/words'
import { useReader } from '../base/reader'

/** A part of the page that has not come yet. */
export const Lost = () => (
  <p role="status" className="text-quiet p-3">
    {say(useReader(), 'page.waiting')}
  </p>
)
