/** @type {import('prettier').Config} */
export default { printWidth: 120, singleQuote: true, semi: false, objectWrap: 'collapse', bracketSameLine: true }
