export { factsOf, limitRowsOf } from '#words/facts'
