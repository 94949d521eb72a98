/** serial.ts. */
export const serial = {
  noDataFromThePort: 'No data from the port. Check the cable, and that no other program uses it.',
}

/** streamed.ts. */
export const streamed = {
  theSimulatedBenchHasEnded: 'The simulated bench has ended. Set it up again.',
}
