#!/bin/bash
# usage: steps.tmp.sh '<design json>'
echo "$1" | npx tsx scripts/plan.ts 2>/dev/null | node -e "const a=JSON.parse(require('fs').readFileSync(0,'utf8'));const p=a.plan??a;if(!p.steps){console.log(JSON.stringify(a).slice(0,600));process.exit()}for(const s of p.steps)console.log(String(s.number??'').padStart(2),s.phase??s.kind??'', (s.piece??'')+(s.alike?'+'+s.alike.join(','):''),'|',s.text);for(const c of p.checks??[])if(c.level!=='pass'&&c.level!=='ok')console.log('CHECK',c.level,c.text??c.message)"
