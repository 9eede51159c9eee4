import { assess } from '../src/core/assess';
import { DEFAULTS } from '../src/core/limits';
import { readSheet } from '../src/core/sheet';
import { DEMO_SHEETS } from '../src/data/demo';
const sheet:any = structuredClone(DEMO_SHEETS['L-0417']!);
const edge=(lean:number)=>({stations:Array.from({length:12},(_,i)=>({at:`${40+Math.round((i*432)/12)} mm`,near:`${(8-0.05*i).toFixed(2)} mm`,far:`${(8-0.05*i-lean*(i%4)).toFixed(2)} mm`,mouth:`${(1.38+0.01*i).toFixed(2)} mm`,deep:'1.34 mm',deepAt:'3 mm'}))});
sheet.bar.edges={A:edge(0.1),B:edge(-0.05)};
const read=readSheet(sheet); if(!read.ok) throw new Error(JSON.stringify(read.error));
const N=Number(process.argv[2]??1500);
for(let i=0;i<150;i++) assess(read.value,DEFAULTS);
const t:number[]=[];
for(let i=0;i<N;i++){const s=performance.now();assess(read.value,DEFAULTS);t.push(performance.now()-s);}
const B:number[]=[];for(let i=0;i+50<=N;i+=50){B.push(t.slice(i,i+50).reduce((a,b)=>a+b,0)/50);}B.sort((a,b)=>a-b);t.sort((a,b)=>a-b); console.log("p10",t[N/10|0]!.toFixed(3),"p50",t[N/2|0]!.toFixed(3),"p90",t[N*9/10|0]!.toFixed(3),"best batch",B[0]!.toFixed(3));
