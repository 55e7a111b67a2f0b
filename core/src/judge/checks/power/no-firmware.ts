import { known } from '../../../facts'
import { check } from '../../check'

export const noFirmware = check<{ blank: { board: string } }>({
  id: 'noFirmware',
  station: 'power',
  scope: 'saber',
  source: 'shop practice',
  reads: ['parts', 'firmware', 'controls'],
  run: ({ saber }) => {
    const board = saber.parts.find((p) => p.kind === 'board')
    // Before anything is set up on it there is nothing that could depend on it.
    return board && saber.controls.length && known(saber.firmware) === undefined
      ? [
          {
            ...{ code: 'blank', subject: 'firmware', level: 'caution', params: { board: board.name } },
            refs: [`part:${board.id}`],
          },
        ]
      : []
  },
})
