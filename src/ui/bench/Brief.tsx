'use client';

import { memo } from 'react';
import type { BriefProps } from './brief';
import { Choices } from './Choices';
import { Extras } from './Extras';
import { MadeAs } from './MadeAs';
import { PaperAtHand } from './PaperAtHand';
import { SpoiledSheet } from './SpoiledSheet';
import { ToolChoice } from './ToolChoice';
import { WhatGoesIn } from './WhatGoesIn';
import { WhichPaper } from './WhichPaper';
import styles from './Brief.module.css';

/** What the person has: what goes in or the paper at hand, the paper, the tool, and the choices makers differ on. */
export const Brief = memo(function Brief(props: BriefProps) {
  return (
    <div className={styles.brief}>
      <SpoiledSheet design={props.design} made={props.made} onChange={props.onChange} />
      <MadeAs {...props} />
      {props.told ? null : props.design.blank ? <PaperAtHand {...props} /> : <WhatGoesIn {...props} />}
      <WhichPaper {...props} />
      <ToolChoice {...props} />
      <Choices {...props} />
      <Extras {...props} />
    </div>
  );
});
