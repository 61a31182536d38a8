/** Types and lint in one: eslint's rules ask the types that the compiler has found already, rather than find them anew. */
import { ESLint } from 'eslint'
import ts from 'typescript'

const host = {
  ...ts.sys,
  onUnRecoverableConfigFileDiagnostic: (fault) => {
    throw new Error(ts.flattenDiagnosticMessageText(fault.messageText, '\n'))
  },
}
const { fileNames, options } = ts.getParsedCommandLineOfConfigFile('tsconfig.json', {}, host)
const program = ts.createProgram(fileNames, options)
const wrong = ts.getPreEmitDiagnostics(program)
const names = {
  getCanonicalFileName: (name) => name,
  getCurrentDirectory: ts.sys.getCurrentDirectory,
  getNewLine: () => '\n',
}
console.log(ts.formatDiagnostics(wrong, names))

const typed = {
  files: ['**/*.ts', '**/*.tsx'],
  languageOptions: { parserOptions: { projectService: false, programs: [program] } },
}
const eslint = new ESLint({ overrideConfig: typed })
const looked = await eslint.lintFiles(['.'])
console.log(await (await eslint.loadFormatter('stylish')).format(looked))
const found = looked.reduce((sum, one) => sum + one.errorCount + one.warningCount, 0)
process.exitCode = wrong.length + found > 0 || looked.length === 0 ? 1 : 0
