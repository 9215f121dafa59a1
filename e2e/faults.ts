/**
 * Faults of the browser's parts, each as a script that runs before the page's own. What is denied,
 * missing or silent is so from the start, or from when `window.broken` is set.
 */

const broken = () => (window as { broken?: boolean }).broken === true

/** Put before each: what a script may use. */
const NEVER = 'new Promise(() => {})'

/** What is waited for is waited for a third of the time: long waits only, those that take no part in work. */
export const HURRIED = `for (const name of ['setTimeout', 'setInterval']) {
  const real = window[name]
  window[name] = (done, time = 0, ...args) => real(done, time < 1500 ? time : time / 3, ...args)
}`

/** From the start on. */
export const AT_START: Record<string, string> = {
  'no locks': 'Object.defineProperty(navigator, "locks", { value: undefined })',
  'no channels': 'delete window.BroadcastChannel',
  'no workers': 'window.Worker = class { constructor() { throw new Error("denied") } }',
  'workers that die':
    'const Real = Worker; window.Worker = class extends Real { constructor() { super("data:text/javascript,throw 1") } }',
  'silent workers':
    'const Real = Worker; window.Worker = class extends Real { constructor() { super(URL.createObjectURL(new Blob([""]))) } }',
  'no session storage':
    'Object.defineProperty(window, "sessionStorage", { get() { throw new DOMException("denied", "SecurityError") } })',
  'no local storage':
    'Object.defineProperty(window, "localStorage", { get() { throw new DOMException("denied", "SecurityError") } })',
  'no private files': 'Object.defineProperty(navigator, "storage", { value: undefined })',
  'private files denied':
    'StorageManager.prototype.getDirectory = () => Promise.reject(new DOMException("denied", "SecurityError"))',
  'silent folder': `StorageManager.prototype.getDirectory = () => ${NEVER}`,
  'silent files': `FileSystemFileHandle.prototype.getFile = () => ${NEVER}`,
  'silent file handles': `FileSystemDirectoryHandle.prototype.getFileHandle = () => ${NEVER}`,
  'unreadable files':
    'FileSystemFileHandle.prototype.getFile = () => Promise.reject(new DOMException("gone", "NotReadableError"))',
  'no writing to files':
    'FileSystemFileHandle.prototype.createWritable = () => Promise.reject(new DOMException("full", "QuotaExceededError"))',
  'silent database': 'IDBFactory.prototype.open = function () { return new EventTarget() }',
  'database denied':
    'IDBFactory.prototype.open = () => { throw new DOMException("denied", "SecurityError") }',
  'no database': 'Object.defineProperty(window, "indexedDB", { value: undefined })',
  'silent reads': 'IDBObjectStore.prototype.get = function () { return new EventTarget() }',
  'failing reads':
    'IDBObjectStore.prototype.get = () => { throw new DOMException("no", "UnknownError") }',
  'failing writes':
    'IDBObjectStore.prototype.put = () => { throw new DOMException("full", "QuotaExceededError") }',
  // A write is done when its transaction says so.
  'silent writes': 'Object.defineProperty(IDBTransaction.prototype, "oncomplete", { set() {} })',
  'no idle time': 'delete window.requestIdleCallback',
  'no offline worker':
    'ServiceWorkerContainer.prototype.register = () => Promise.reject(new DOMException("denied", "SecurityError"))',
}

/** While the page is open: what it says then, not what it was made with. */
export const MIDWAY: Record<string, string> = {
  'writes begin to fail': `const put = IDBObjectStore.prototype.put; IDBObjectStore.prototype.put = function (...args) {
    if ((${broken})()) throw new DOMException("full", "QuotaExceededError")
    return put.apply(this, args) }`,
  'writes fall silent': `Object.defineProperty(IDBTransaction.prototype, "oncomplete", { set(told) {
    this.addEventListener("complete", (event) => (${broken})() || told?.call(this, event)) } })`,
  'files begin to fail': `const create = FileSystemFileHandle.prototype.createWritable; FileSystemFileHandle.prototype.createWritable = function (...args) {
    return (${broken})() ? Promise.reject(new DOMException("full", "QuotaExceededError")) : create.apply(this, args) }`,
  'files fall silent': `const create = FileSystemFileHandle.prototype.createWritable; FileSystemFileHandle.prototype.createWritable = function (...args) {
    return (${broken})() ? ${NEVER} : create.apply(this, args) }`,
  'the log’s worker dies': `const Real = Worker; window.Worker = class extends Real {
    constructor(...args) { super(...args); this.addEventListener("message", () => {
      if ((${broken})() && !this.dead) { this.dead = true; this.terminate(); this.dispatchEvent(new ErrorEvent("error", { message: "killed" })) } }) } }`,
  'the log’s worker falls silent': `const Real = Worker; window.Worker = class extends Real {
    postMessage(...args) { if (!(${broken})()) super.postMessage(...args) } }`,
}
