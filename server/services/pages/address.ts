import { isIPv4, isIPv6 } from 'node:net';

/** Networks that are not the open one (RFC 6890 and its successors), as first address and length of the common part. */
const CLOSED_4: [string, number][] = [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.0.2.0', 24],
  ['192.88.99.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['198.51.100.0', 24],
  ['203.0.113.0', 24],
  ['224.0.0.0', 4],
  ['240.0.0.0', 4],
];

const number4 = (address: string): number => address.split('.').reduce((sum, part) => sum * 256 + Number(part), 0);

/** Whether an IP address lies in the open network. What cannot be read as one does not. */
export function isPublic(address: string): boolean {
  if (isIPv4(address)) {
    const value = number4(address);
    return !CLOSED_4.some(
      ([start, length]) => Math.floor(value / 2 ** (32 - length)) === Math.floor(number4(start) / 2 ** (32 - length)),
    );
  }
  if (!isIPv6(address)) return false;
  const groups = groupsOf(address);
  // An address of the older kind inside one of the newer: mapped, compatible, translated (NAT64), 6to4.
  const inner = (at: number) =>
    isPublic([groups[at] >> 8, groups[at] & 255, groups[at + 1] >> 8, groups[at + 1] & 255].join('.'));
  if (groups.slice(0, 5).every((group) => group === 0) && (groups[5] === 0 || groups[5] === 0xffff)) return inner(6);
  if (groups[0] === 0x64 && groups[1] === 0xff9b) return inner(6);
  if (groups[0] === 0x2002) return inner(1);
  // Only 2000::/3 is given out; of it, 2001::/23 and the documentation's are not.
  return (
    (groups[0] & 0xe000) === 0x2000 &&
    !(groups[0] === 0x2001 && groups[1] < 0x200) &&
    !(groups[0] === 0x2001 && groups[1] === 0xdb8) &&
    !(groups[0] === 0x3fff && groups[1] < 0x1000)
  );
}

/** The eight groups of an IPv6 address, its zone left out. */
function groupsOf(address: string): number[] {
  const plain = address
    .split('%')[0]
    .replace(
      /(\d+)\.(\d+)\.(\d+)\.(\d+)$/,
      (_, a: string, b: string, c: string, d: string) =>
        `${((Number(a) << 8) | Number(b)).toString(16)}:${((Number(c) << 8) | Number(d)).toString(16)}`,
    );
  const [head, tail] = plain.split('::');
  const parts = (text: string | undefined) => (text ? text.split(':').map((part) => Number.parseInt(part, 16)) : []);
  const [left, right] = [parts(head), parts(tail)];
  return tail === undefined
    ? left
    : [...left, ...Array.from({ length: 8 - left.length - right.length }, () => 0), ...right];
}
