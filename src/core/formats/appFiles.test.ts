import { addressOf } from './address'
import { BadAppFile, readAppFile } from './appFiles'

const problem = (text: string): string => {
  try {
    readAppFile(text)
  } catch (error) {
    if (error instanceof BadAppFile) return error.message
  }
  throw new Error('was read')
}

test('a web app manifest gives name, address and an embedded icon', () => {
  const icon = 'data:image/svg+xml,%3Csvg/%3E'
  expect(
    readAppFile(
      JSON.stringify({
        short_name: 'Ridge',
        start_url: 'https://ridge.example/now?x=1',
        icons: [{ src: '/icon.png' }, { src: icon }],
      }),
    ),
  ).toEqual({ name: 'Ridge', address: 'https://ridge.example/now?x=1', icon })
})

test('a manifest mostly gives its start as a path of its site', () => {
  expect(readAppFile('{"name":"Ridge","start_url":"./?from=home"}')).toEqual({
    name: 'Ridge',
    address: './?from=home',
    relative: true,
  })
  expect(problem('{"name":"A","start_url":"javascript:alert(1)"}')).toContain('Only http')
  expect(readAppFile('{"name":"A","start_url":"/","scope":"https://a.example/"}').address).toBe(
    'https://a.example/',
  )
})

test('a desktop entry is a link, or a program that is given an address', () => {
  const link =
    '# made by hand\n[Desktop Entry]\nType=Link\nName=Road map\nURL=http://roads.example/\n'
  expect(readAppFile(link)).toEqual({ name: 'Road map', address: 'http://roads.example/' })
  const program =
    '[Desktop Entry]\nType=Application\nName=Map\nExec=open "https://map.example/a" %u\n[Other]\nName=No'
  expect(readAppFile(program)).toEqual({ name: 'Map', address: 'https://map.example/a' })
})

test('what is wrong with a file is said', () => {
  expect(problem('{')).toContain('not JSON')
  expect(problem('{"name":"A"}')).toContain('start_url')
  expect(problem('{"start_url":"https://a.example"}')).toContain('no name')
  expect(problem('[Desktop Entry]\nName')).toContain('line 2')
  expect(problem('[Desktop Entry]\nName=A\nExec=editor')).toContain('no URL')
  expect(problem('[Desktop Entry]\nName=A\nURL=ftp://a.example')).toContain('Only http and https')
  expect(problem('Name=A')).toContain('no group')
})

test('an address is completed, and one that cannot be shown is told', () => {
  const href = (typed: string) => {
    const found = addressOf(typed)
    return 'href' in found ? found.href : found.problem
  }
  expect(href('example.org')).toBe('https://example.org/')
  expect(href(' http://a.example/b ')).toBe('http://a.example/b')
  expect(href('host:8080/x')).toBe('https://host:8080/x')
  expect(href('localhost:5051')).toBe('http://localhost:5051/')
  expect(href('127.0.0.1/x')).toBe('http://127.0.0.1/x')
  expect(href('localhosted.example')).toBe('https://localhosted.example/')
  expect(href('/pages/notice')).toBe('/pages/notice')
  expect(href('javascript:alert(1)')).toContain('not javascript:')
  expect(href('data:text/html,x')).toContain('not data:')
  expect(href('//a.example')).toBe('https://a.example/')
  expect(href('two words')).toContain('is not an address')
  expect(href('notaurl with space')).toContain('is not an address')
  expect(href('example.org/a b')).toBe('https://example.org/a%20b')
  expect(href('')).toContain('Type an address')
})
