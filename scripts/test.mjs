// `npm test`: everything that checks the project, from a bare clone. Ends with one line of counts.
import { existsSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { spawnSync } from 'node:child_process'
import { BUILDS } from './builds.mjs'
import { bin, ensureInstalled, ROOT, run } from './ensure-installed.mjs'

ensureInstalled()
ensurePrograms()
const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-test-'))
const counts = { passed: 0, failed: 0, skipped: 0 }

step('types', bin('tsc'), ['-p', 'core'])
step('types', bin('tsc'), ['-p', 'contract'])
step('types', bin('tsc'), ['-p', 'tsconfig.node.json'])
step('types', bin('vue-tsc'), ['-p', 'client'])
step('types', bin('tsc'), ['-p', 'e2e'])
step('lint', bin('eslint'), ['.', '--max-warnings', '0'])
step('form', bin('prettier'), ['--check', '.', '--log-level', 'warn'])
step('import rules', bin('depcruise'), [
  'core',
  'contract',
  'server',
  'client',
  'commands',
  '--config',
  '.dependency-cruiser.cjs',
  '--output-type',
  'err',
])

const unit = path.join(folder, 'unit.json')
run(bin('vitest'), ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${unit}`])
countVitest(unit)

for (const args of BUILDS) step('build', bin('vite'), [...args, '--logLevel', 'warn'])

const browser = path.join(folder, 'browser.json')
run(bin('playwright'), ['test', '--reporter=line,json'], {
  env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: browser },
})
countPlaywright(browser)

process.stdout.write(`\n${counts.passed} passed, ${counts.failed} failed, ${counts.skipped} skipped\n`)
process.exitCode = counts.failed === 0 && counts.passed > 0 ? 0 : 1

/** A step without tests of its own counts as one check. */
function step(name, command, args) {
  const code = run(command, args)
  if (code === 0) counts.passed++
  else {
    counts.failed++
    process.stdout.write(`FAILED: ${name} (${path.basename(command)} ${args.join(' ')})\n`)
  }
}

function countVitest(file) {
  if (!existsSync(file)) return void counts.failed++
  const report = JSON.parse(readFileSync(file, 'utf8'))
  counts.passed += report.numPassedTests
  // A file that cannot be loaded fails without a failed test.
  counts.failed += Math.max(report.numFailedTests, report.testResults.filter((r) => r.status === 'failed').length)
  counts.skipped += report.numPendingTests + (report.numTodoTests ?? 0)
}

function countPlaywright(file) {
  if (!existsSync(file)) return void counts.failed++
  const { stats, errors } = JSON.parse(readFileSync(file, 'utf8'))
  counts.passed += stats.expected + stats.flaky
  counts.failed += stats.unexpected + errors.length
  counts.skipped += stats.skipped
}

/**
 * Browser tests drive Debian's Chromium, tests of searchers its Redis server; where they are missing and this is root on
 * Debian, they are installed.
 */
function ensurePrograms() {
  const missing = [
    ...(existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium') ? [] : ['chromium']),
    ...(existsSync(process.env.REDIS_SERVER ?? '/usr/bin/redis-server') ? [] : ['redis-server']),
  ]
  if (missing.length === 0) return
  process.stderr.write(`Installing from the system packages: ${missing.join(', ')} …\n`)
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  const apt = (...args) =>
    spawnSync([...sudo, 'apt-get', ...args][0], [...sudo, 'apt-get', ...args].slice(1), {
      stdio: ['ignore', 2, 2],
      cwd: ROOT,
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  apt('update', '-qq')
  if (apt('install', '-y', '-qq', ...missing).status !== 0)
    process.stderr.write(
      'They could not be installed: set CHROMIUM to a Chromium and REDIS_SERVER to a Redis server of yours. The tests that need them will fail.\n',
    )
}
