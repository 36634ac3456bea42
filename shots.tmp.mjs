import { chromium } from '@playwright/test';
import { spawn, spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
const folder='/tmp/shotdata'; rmSync(folder,{recursive:true,force:true});
spawnSync(process.execPath,['dist/prepare.mjs',folder]);
const child=spawn(process.execPath,['.output/server/index.mjs'],{env:{...process.env,PORT:'4777',HOST:'127.0.0.1',UPLIFT_DATA:folder},stdio:'ignore'});
const url='http://127.0.0.1:4777';
for(let i=0;i<100;i++){ if(await fetch(url+'/api/health').then(()=>true,()=>false)) break; await new Promise(r=>setTimeout(r,100)); }
const browser=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox']});
const page=await (await browser.newContext({viewport:{width:1280,height:800}})).newPage();
const shot=(n)=>page.screenshot({path:`/tmp/shot-${n}.png`});
await page.goto(url+'/sign-in'); await page.getByRole('button',{name:'Ines Marlow'}).click(); await page.getByRole('heading',{name:'Courses',exact:true}).waitFor();
const list=await page.evaluate(async()=>(await fetch('/api/courses')).json()); const id=list[0].id;
try { await (await import('/tmp/steps.mjs')).default({page,shot,url,id,browser}); } catch(e){ console.error(e); await shot('error'); }
await browser.close(); child.kill('SIGKILL');
