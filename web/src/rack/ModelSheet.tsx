import { useMemo } from 'react'
import { Link } from 'react-router'
import type { RackRow } from '../data'
import { SceneView } from '../drawing/SceneView'
import { hiltScene } from './hiltScene'

/** A hilt kept to begin from: its drawing alone, without a blade and without progress. */
export function ModelSheet({ row }: { row: RackRow }) {
  const scene = useMemo(() => hiltScene(row.hilt, 220, 44), [row])
  return (
    <li className="bg-card border-rule border">
      <Link to={`/commission/${row.id}/hilt`} className="block px-3 py-2 hover:bg-white">
        <SceneView scene={scene} title={`${row.title}, section`} />
        <span className="font-semibold">{row.title}</span>
      </Link>
    </li>
  )
}
