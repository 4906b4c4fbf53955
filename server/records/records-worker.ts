import { createClient } from '@libsql/client'
import type { MessagePort } from 'node:worker_threads'
import { replaceAll } from '../db/replace.ts'
import { standBack } from '../workers/stand-back.ts'
import { copyDatabase } from './copy-database.ts'
import { ArchiveFault } from './archive-read.ts'
import { lookIntoArchive, type Found } from './archive-look.ts'
import { takeArchive } from './archive-take.ts'
import { writeCheckedArchive } from './archive-write.ts'

standBack()

export type RecordsTask =
  | { readonly do: 'copy'; readonly databaseFile: string; readonly into: string }
  | { readonly do: 'replace'; readonly databaseFile: string; readonly other: string; readonly at: string }
  | { readonly do: 'write-archive'; readonly databaseFile: string; readonly at: string; readonly into: string }
  | { readonly do: 'look'; readonly databaseFile: string; readonly file: string }
  | {
      readonly do: 'take'
      readonly databaseFile: string
      readonly file: string
      readonly coming: string
      readonly turns: MessagePort
    }

export type RecordsAnswer =
  | { readonly kind: 'done' }
  | { readonly kind: 'found'; readonly found: Found }
  | { readonly kind: 'refused'; readonly why: string }

/** The long works on the whole database, in a thread and over a connection of their own: nobody waits for them. */
export default async function keepRecords(task: RecordsTask): Promise<RecordsAnswer> {
  try {
    return await done(task)
  } catch (error) {
    if (error instanceof ArchiveFault) return { kind: 'refused', why: error.message }
    throw error
  }
}

async function done(task: RecordsTask): Promise<RecordsAnswer> {
  switch (task.do) {
    case 'copy':
      await copyDatabase(task.databaseFile, task.into)
      return { kind: 'done' }
    case 'replace': {
      const client = createClient({ url: `file:${task.databaseFile}` })
      try {
        await replaceAll(client, task.other, new Date(task.at))
      } finally {
        client.close()
      }
      return { kind: 'done' }
    }
    case 'write-archive':
      await writeCheckedArchive(task.databaseFile, new Date(task.at), task.into)
      return { kind: 'done' }
    case 'look':
      return { kind: 'found', found: await lookIntoArchive(task.databaseFile, task.file) }
    case 'take':
      await takeArchive(task.databaseFile, task.file, task.coming, task.turns)
      return { kind: 'done' }
    default:
      return task satisfies never
  }
}
