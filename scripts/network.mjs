// Listening on the school's network while class mode is on, besides this computer. An address that comes later, when the laptop
// changes rooms, is taken up by itself.
import { createServer } from 'node:http'
import { networkInterfaces } from 'node:os'

const LOOK_EVERY = 5000

/** @returns opens, closes and names the addresses at which `answer` is served on this port. */
export function schoolNetwork(port, answer) {
  const servers = new Map()
  let timer

  function open() {
    follow()
    clearInterval(timer)
    timer = setInterval(follow, LOOK_EVERY)
    timer.unref()
  }

  function close() {
    clearInterval(timer)
    for (const address of [...servers.keys()]) leave(address)
  }

  function follow() {
    const wanted = ownAddresses()
    for (const address of servers.keys()) if (!wanted.includes(address)) leave(address)
    for (const address of wanted) if (!servers.has(address)) listen(address)
  }

  function listen(address) {
    const server = createServer(answer)
    servers.set(address, server)
    // An address that cannot be used now is tried again at the next look.
    server.on('error', () => leave(address))
    server.listen(port, address)
  }

  function leave(address) {
    const server = servers.get(address)
    servers.delete(address)
    server?.close()
    server?.closeAllConnections()
  }

  return { port, open, close, addresses: () => [...servers.keys()] }
}

/** Where others on the network find this computer. */
function ownAddresses() {
  return Object.values(networkInterfaces())
    .flat()
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address)
}
