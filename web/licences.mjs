// Lists what bills of materials hold, with versions and licences: node licences.mjs DIRECTORY
import { readFileSync } from 'node:fs'

const name = (c) => (c.group ? `${c.group}:` : '') + c.name
const licence = (c) =>
  (c.licenses ?? []).map((l) => l.expression ?? l.license.id ?? l.license.name).join(', ') || 'not said'

for (const [title, file] of [
  ['Java', 'sbom-java.json'],
  ['Web', 'sbom-web.json'],
]) {
  const bom = JSON.parse(readFileSync(`${process.argv[2]}/${file}`, 'utf8'))
  const rows = bom.components.map((c) => `| ${name(c)} | ${c.version} | ${licence(c)} |`)
  console.log(`## ${title}\n\n| library | version | licence |\n|---|---|---|`)
  console.log(`${[...new Set(rows)].sort().join('\n')}\n`)
}
