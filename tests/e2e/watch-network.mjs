// Loaded into the server under test: writes down every connection it tries to make to another machine.
import { appendFileSync } from 'node:fs';
import { Socket } from 'node:net';
import dns from 'node:dns';

const note = (what) => appendFileSync(process.env.UPLIFT_STRANGERS, `${what}\n`);
const { connect } = Socket.prototype;
Socket.prototype.connect = function watched(...args) {
  const [options] = Array.isArray(args[0]) ? args[0] : args;
  const host = typeof options === 'object' ? options?.host : args[1];
  if (host && !/^(127\.|localhost$|::1$)/.test(host)) note(`connect ${host}`);
  return connect.apply(this, args);
};
const { lookup } = dns;
dns.lookup = (name, ...rest) => {
  if (!/^(127\.|localhost$|::1$)/.test(name)) note(`lookup ${name}`);
  return lookup(name, ...rest);
};

// A test that ran out of time ends without ending its server: it ends itself when nobody is there any more.
const parent = process.ppid;
setInterval(() => process.ppid === parent || process.exit(), 500).unref();
