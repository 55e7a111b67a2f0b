import { known } from '../../../facts'
import { check } from '../../check'

export const noFirmware = check<{ blank: { board: string } }>({
  id: 'noFirmware',
  station: 'power',
  scope: 'saber',
  rule: 'Which program runs on the board is written down: controls and menus depend on it.',
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
  words: {
    blank: (p) => ({
      title: 'Firmware not recorded',
      detail: `Nothing says which program runs on ${p.board}.`,
      remedy: 'Read it off the board and enter it.',
    }),
  },
})
