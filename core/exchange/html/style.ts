/** The page's stylesheet: the app's own tokens, a sheet of text with the evidence beside it. */
export const STYLE = `
:root{--paper:#f6f4ec;--sheet:#fdfcf8;--shade:#ece8dc;--hair:#d8d2c2;--ink:#1d2927;--ink-2:#4e5a56;--ink-3:#5b645e;--moss:#1f6149;--moss-faint:#e8efe2;--rust:#a8431a;--sky:#2a5d84;--sky-soft:#dbe7ee}
@media (prefers-color-scheme:dark){:root{--paper:#141a19;--sheet:#1a2220;--shade:#232c29;--hair:#35403c;--ink:#eceae0;--ink-2:#b9c0b8;--ink-3:#a3ada6;--moss:#7cc3a0;--moss-faint:#1d322b;--rust:#ec9a6c;--sky:#8dbfe3;--sky-soft:#1f3a4d}}
*{box-sizing:border-box}
body{margin:0;background:var(--paper);color:var(--ink);font:15px/1.55 ui-sans-serif,system-ui,sans-serif}
header,nav,main,footer{max-width:47rem;margin-inline-start:max(1.25rem,calc((100vw - 76rem)/2));margin-inline-end:1.25rem}
h1{font-size:1.7rem;line-height:1.2;margin:1.6rem 0 .3rem}
h2{font-size:1.3rem;margin:2.6rem 0 .2rem;padding-top:.6rem;border-top:2px solid var(--ink)}
h3{font-size:1.05rem;margin:1.5rem 0 .3rem}h4{margin:1.2rem 0 .2rem}
a{color:var(--sky)}
a:focus-visible,[tabindex]:focus-visible{outline:2px solid var(--sky);outline-offset:2px}
.facts{color:var(--ink-2);margin:.1rem 0 1rem}
.profile{display:block;width:100%;height:auto;margin:.5rem 0}
.profile .fill{fill:var(--moss-faint);stroke:var(--hair)}.profile .line{fill:none;stroke:var(--ink);stroke-width:1.5}.profile .post{fill:var(--sheet);stroke:var(--ink)}.profile text{fill:var(--ink-2);font-size:11px}
.outline{width:100%;border-collapse:collapse;font-size:.92rem}
.outline td,.outline th{text-align:start;padding:.25rem .5rem;border-top:1px solid var(--hair);vertical-align:top}
.outline .number{text-align:end;font-variant-numeric:tabular-nums;white-space:nowrap}
.outline .module th,.outline .module td{background:var(--shade)}
article{background:var(--sheet);border:1px solid var(--hair);border-radius:3px;padding:.4rem 1.6rem 1.2rem;margin:1rem 0}
article p,article li,article dd{max-width:40rem}article .facts,.check summary{font-family:ui-sans-serif,system-ui,sans-serif;font-size:.92rem}
article.up-page>*{margin-block-start:0}article.up-page>h4,article.up-page>h5{margin:1.2em 0 .4em}
.aims{color:var(--ink-2);font:600 .85rem/1.4 ui-sans-serif,system-ui,sans-serif;margin:.8rem 0 .2rem}
article a.from{padding-block:.25em;color:inherit;text-decoration:underline;text-decoration-color:color-mix(in srgb,var(--sky) 38%,transparent);text-decoration-thickness:1px;text-underline-offset:.22em}
article a.from:hover,article a.from:focus-visible{background-color:var(--sky-soft)}
article a.from.changed{text-decoration-style:dotted;text-decoration-color:var(--sky)}
.connecting{color:var(--ink-2);font-style:italic}
.check{border:1px solid var(--ink);border-radius:3px;padding:.5rem 1rem .7rem;margin:1rem 0}
.check p,.check li{font:1rem/1.5 ui-sans-serif,system-ui,sans-serif}.check .stem{font-weight:600}.check summary{cursor:pointer;color:var(--sky)}.right{color:var(--moss);font-weight:600}
.passage{display:none}
.passage:target{display:block;position:fixed;inset-block:0;inset-inline-end:0;width:min(24rem,92vw);overflow:auto;background:var(--sheet);border-inline-start:1px solid var(--hair);padding:1rem 1.2rem}
.passage .where{color:var(--ink-2);font-size:.85rem;margin:.1rem 0}.passage blockquote{margin:.6rem 0;padding:.6rem .8rem;background:var(--sky-soft)}.passage .near{color:var(--ink-2)}
.close{float:inline-end}
.hint{display:none}
@media (min-width:76rem){.hint{display:block;position:fixed;top:1.6rem;inset-inline-end:1.5rem;width:20rem;color:var(--ink-2);font-size:.9rem;border-inline-start:1px solid var(--hair);padding-inline-start:1.2rem}}
.left-out{font-size:.92rem}
@media print{.passage{display:block;position:static;width:auto;border:0}}
`;
