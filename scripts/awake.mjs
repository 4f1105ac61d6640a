// Keeps a process of Node from waiting for ever. In glibc 2.36 (Debian 12) a signal to a waiting thread can be lost (its bug 25847): the
// pool that reads files then sleeps over a file that was asked for until somebody asks for the next one, and in a process that does nothing
// else nobody does. Seen in a test that stood still for 37 minutes with one file to read and four idle threads. So somebody asks every second.
import { stat } from 'node:fs'

setInterval(() => stat('/', () => {}), 1000).unref()
