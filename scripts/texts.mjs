// Finds the texts of a source file that a user can read: in templates, in attributes that are shown or spoken, and in
// the strings of scripts and of the library.
import ts from 'typescript'
import { parse } from 'vue/compiler-sfc'

/** Attributes whose values are never shown. */
const SILENT = new Set(['class', 'id', 'type', 'key', 'ref', 'for', 'role', 'name', 'autocomplete', 'inputmode', 'href', 'rel', 'is', 'slot', 'width', 'height', 'd', 'viewBox', 'fill', 'stroke', 'tag', 'accept', 'kind', 'href']) // prettier-ignore
/** Calls whose first argument is a name for programs. */
const NAMING = /^(import|require|defineStore|getElementById|querySelector|querySelectorAll|addEventListener|createElement|getContext|setAttribute|closest|matchMedia|startsWith|endsWith|includes|indexOf|join|split|test|exec|get|has|put|emit|on|inject|provide|request|transaction|table|where)$/ // prettier-ignore

const clean = (text) => text.replace(/\s+/g, ' ').trim()
/** Whether a string reads like words: two of them, or one that begins like a sentence. */
const isText = (text) => /\p{L}{2}/u.test(text) && (/\p{L}[\p{L}’,.;:!?)…]* +[\p{L}{(“0-9]/u.test(text) || /^\p{Lu}\p{Ll}+[.:?!…]?$/u.test(text)) // prettier-ignore

function isForPrograms(node) {
  const { parent } = node
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isLiteralTypeNode(parent))
    return true
  if (ts.isCaseClause(parent) || ts.isElementAccessExpression(parent)) return true
  if (ts.isPropertyAssignment(parent) && parent.name === node) return true
  if (ts.isBinaryExpression(parent) && /^[=!]==?$/.test(parent.operatorToken.getText())) return true
  if (ts.isCallExpression(parent) && parent.arguments[0] === node) {
    const { expression } = parent
    const name = ts.isPropertyAccessExpression(expression) ? expression.name.text : expression.getText()
    return NAMING.test(name)
  }
  return false
}

/** Texts of a script. @param from line at which it starts, counted from 1. */
export function scriptTexts(source, from = 1) {
  const file = ts.createSourceFile('x.ts', source, ts.ScriptTarget.Latest, true)
  const found = []
  const add = (node, text) => {
    if (!isText(clean(text))) return
    const { line } = file.getLineAndCharacterOfPosition(node.getStart())
    found.push({ line: from + line, text: clean(text) })
  }
  const visit = (node) => {
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (!isForPrograms(node)) add(node, node.text)
    } else if (ts.isTemplateExpression(node)) {
      const spans = node.templateSpans.map(
        (span) => `{${clean(span.expression.getText())}}${span.literal.text}`,
      )
      if (!isForPrograms(node)) add(node, node.head.text + spans.join(''))
    }
    ts.forEachChild(node, visit)
  }
  visit(file)
  return found
}

function templateTexts(node, found) {
  if (node.type === 2 && isText(clean(node.content)))
    found.push({ line: node.loc.start.line, text: clean(node.content) })
  if (node.type === 5) found.push(...scriptTexts(`(${node.content.loc.source})`, node.loc.start.line))
  for (const prop of node.props ?? []) {
    if (prop.type === 6 && prop.value && !SILENT.has(prop.name) && !prop.name.startsWith('data-')) {
      if (isText(clean(prop.value.content)))
        found.push({ line: prop.loc.start.line, text: clean(prop.value.content) })
    } else if (prop.type === 7 && prop.exp && !SILENT.has(prop.arg?.content) && prop.name !== 'for')
      found.push(...scriptTexts(`(${prop.exp.loc.source})`, prop.loc.start.line))
  }
  for (const child of node.children ?? []) templateTexts(child, found)
}

/** Every text of a file that a user can read, with its line, in the order of the file. */
export function textsOf(path, source) {
  if (!path.endsWith('.vue')) return scriptTexts(source)
  const { descriptor } = parse(source, { sourceMap: false })
  const found = []
  for (const block of [descriptor.script, descriptor.scriptSetup])
    if (block) found.push(...scriptTexts(block.content, block.loc.start.line))
  if (descriptor.template?.ast) templateTexts(descriptor.template.ast, found)
  return found.sort((a, b) => a.line - b.line)
}
