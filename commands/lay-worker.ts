import { availableParallelism, hostname } from 'node:os'
import { LONGEST_SEARCHER_NAME, MOST_SEARCHER_LANES } from '../contract/index.ts'
import { addressFault } from '../server/searchers/redis-address.ts'
import { takeLays } from '../server/searchers/take-lays.ts'
import { numberOption, readOptions, UsageError } from './arguments.ts'

/** `lay-worker --redis URL [--name NAME] [--lanes N]`: plans lays for a shop until it is stopped. */
export async function layWorker(argv: readonly string[]): Promise<number> {
  const args = readOptions(argv, ['redis', 'name', 'lanes'])
  const address = args.options.get('redis')
  if (address === undefined) throw new UsageError('--redis URL is missing: that of the shop, as its REDIS_URL says it')
  const fault = addressFault(address)
  if (fault) throw new UsageError(`--redis ${fault}`)
  const name = (args.options.get('name') ?? hostname()).trim()
  if (name === '' || name.length > LONGEST_SEARCHER_NAME)
    throw new UsageError(`--name wants 1 to ${LONGEST_SEARCHER_NAME} letters, by which the shop shows who searches`)
  const lanes = Math.trunc(numberOption(args, 'lanes', availableParallelism(), 1, MOST_SEARCHER_LANES))
  const taking = takeLays(address, { name, lanes, say: (line) => void process.stdout.write(`${line}\n`) })
  await new Promise((resolve) => {
    process.once('SIGINT', resolve)
    process.once('SIGTERM', resolve)
  })
  process.stdout.write('Finishing what is being planned.\n')
  await taking.stop()
  return 0
}
