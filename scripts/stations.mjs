// Which files are a station's own, by parts of their paths: npm test -- cut runs what tests that station, and nothing
// else.
export const STATIONS = {
  find: ['core/identify', 'core/gauges', 'core/inspect', 'find', 'photos'],
  line: ['core/line', 'core/run', 'app/editor', 'run-drawing', 'strip-layout', 'line'],
  joint: ['core/joints', 'core/ask', 'core/shorthand', 'joint', 'tests/agree'],
  cut: ['core/cutting', 'cut'],
  fix: ['core/supports', 'core/flow', 'fix'],
  make: ['core/making', 'core/heat', 'make', 'steps', 'sign', 'safety', 'faults.test', 'come-back'],
  'hand-over': ['register', 'print'],
  kit: ['kit'],
  jobs: ['job-list', 'app/stores', 'core/record/job', 'stream', 'e2e/jobs', 'e2e/network'],
}
