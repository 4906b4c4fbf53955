import { describe, expect, it } from 'vitest'
import { commandIn } from './typed-command.ts'

describe('what is typed to a page rather than to the job', () => {
  it.each([
    ['lay', 'lay'],
    ['Go to the lay', 'lay'],
    ['how much cloth?', 'lay'],
    ['cut list', 'lists'],
    ['show the buying list', 'lists'],
    ['quote', 'bill'],
    ['how much is it?', 'bill'],
    ['work order', 'make'],
    ['open make-up', 'make-up'],
  ])('"%s" opens %s', (line, station) => {
    expect(commandIn(line, true)).toEqual({ station })
    expect(commandIn(line, false)).toBeNull()
  })

  it.each([
    ['undo', 'undo'],
    [' HELP ', 'help'],
    ['?', 'help'],
    ['new ticket', 'shelf'],
  ])('"%s" is %s, on every page', (line, command) => {
    expect([commandIn(line, true), commandIn(line, false)]).toEqual([command, command])
  })

  it.each(['depth 470', 'foam gannet 36', 'bench 2236 x 468 x 75 in 3', 'open front', 'constructor', ''])(
    '"%s" is for the job',
    (line) => expect(commandIn(line, true)).toBeNull(),
  )
})
