import { keystrokes } from './bench/keystrokes';
import { DEMO_SHEETS } from '../src/data/demo';
const count=24; const sheet:any=structuredClone(DEMO_SHEETS['L-0417']!);
const edge=(lean:number)=>({stations:Array.from({length:count},(_,i)=>({at:`${40+Math.round((i*432)/count)} mm`,near:`${(8-0.05*i).toFixed(2)} mm`,far:`${(8-0.05*i-lean*(i%4)).toFixed(2)} mm`,mouth:`${(1.38+0.01*i).toFixed(2)} mm`,deep:'1.34 mm',deepAt:'3 mm'}))});
sheet.bar.edges={A:edge(0.1),B:edge(-0.05)};
console.log(await keystrokes('http://127.0.0.1:4399',sheet));
