export { GRAMMAR } from './grammar.ts'
export { readTyped, type Typed, type TypingContext, type TypingFailure } from './typing.ts'
export { typingWords } from './words.ts'
