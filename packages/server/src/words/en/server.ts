import type { Shown } from '@omblet/core/words'

/** app.ts. */
export const app = {
  doesNotExistBuildFirst: (index: Shown) => `${index} does not exist. Build first: npm run build.`,
  onlyReadingIsPossibleHere: 'Only reading is possible here.',
  thereIsNoSuchFile: 'There is no such file.',
}

/** instruments.ts. */
export const instruments = {
  thisSimulatedBenchIsGone: 'This simulated bench is gone. Set up a new one.',
  theRequest: 'The request',
  isNotUnderstood: 'is not understood',
  allSimulatedBenchesAreIn: (most: Shown) => `All ${most} simulated benches are in use. Put one away first.`,
  thereIsNoSuchInstrument: 'There is no such instrument.',
  theRequestIsNotUnderstood: 'The request is not understood: it must be JSON of at most 1 MB.',
}

/** listen.ts. */
export const listen = {
  cannotListenOnPortOf: (port: Shown, host: Shown, message: Shown) =>
    `cannot listen on port ${port} of ${host}: ${message}`,
  itRunsAlreadyOpenHttp: (port: Shown) =>
    `it runs already: open http://localhost:${port}/. Stop that one first to start it anew.`,
  anotherProgram: 'another program',
  portIsHeldByStop: (port: Shown, holder: Shown, port2: Shown) =>
    `port ${port} is held by ${holder}. Stop that, or set PORT to a free one; what was made under ${port2} stays under that port.`,
}

/** main.ts. */
export const main = {
  ombletPortMustBeA: (port: Shown) => `Omblet: PORT must be a whole number below 65536, not "${port}".\n`,
  ombletThereIsNoOption: (option: Shown) =>
    `Omblet: there is no option ${option}. Use --lan to open it to the network, or set HOST and PORT.\n`,
  ombletIsAtHttpLocalhost: (port: Shown) => `Omblet is at http://localhost:${port}/ (Ctrl C stops it)\n`,
  itListensOnEverybodyIn: (host: Shown) =>
    `It listens on ${host}: everybody in this network can open it, and use the simulated instruments. Formulas stay in each browser.\n`,
  itListensOnThisMachine:
    'It listens on this machine only. Start it with --lan to open it to your network, such as for a phone.\n',
  omblet: (message: Shown) => `Omblet: ${message}\n`,
}

/** own.ts. */
export const own = {
  ombletAnswersOnlyByThe: 'Omblet answers only by the name of this machine, such as localhost.',
  onlyPagesOfOmbletItself: 'Only pages of Omblet itself may ask this.',
}
