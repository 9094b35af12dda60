import { DeleteOutlined, PlusOutlined } from '@ant-design/icons';
import { Button, Checkbox } from 'antd';
import { LAYER_PLACES, usualReveal, type Design, type DesignChange, type LayerPlace } from '@/core/design';
import type { Made } from '@/core/plan';
import { capitalised } from '@/core/text';
import { newId } from '@/data/newId';
import { LengthField } from '../parts/LengthField';
import { MenuButton } from '../parts/MenuButton';
import { useUnits } from '../parts/InUnits';
import { LAYER_TITLE } from '../parts/titles';
import { Words } from '../parts/Words';
import styles from './Brief.module.css';

interface LayersProps {
  readonly design: Design;
  readonly made: Made | null;
  readonly onChange: (change: DesignChange, key: string) => void;
}

/** What is laid on the faces of the thing and into its room, each next one on the last. */
export function Layers({ design, made, onChange }: LayersProps) {
  const { say } = useUnits();
  const { layers } = design;
  const change = (index: number, part: Partial<Design['layers'][number]>, key: string): void =>
    onChange({ layers: layers.map((layer, i) => (i === index ? { ...layer, ...part } : layer)) }, key);
  const hasHoles = made?.pieces.some(({ piece }) => piece.holes.length > 0) ?? false;
  const hasRoom = (made?.holds.length ?? 0) > 0;
  const offered = LAYER_PLACES.filter((on) => (on === 'sheet' ? hasHoles : on === 'inside' ? hasRoom : true));
  return (
    <div className={styles.layers}>
      {layers.map((layer, i) => {
        const { on, reveal = usualReveal(on, design.usual), pull } = layer;
        const part = made?.layers.find(({ layer: { index } }) => index === i);
        const name = part?.piece.name ?? LAYER_TITLE[on].toLowerCase();
        return (
          <div key={layer.id ?? i} role="group" aria-label={`Layer ${i + 1}: ${name}`} className={styles.layer}>
            <span className={styles.layerName}>
              {part ? capitalised(name) : LAYER_TITLE[on]}
              {part && (
                <small>
                  <Words>
                    {say(part.piece.blank.width)} × {say(part.piece.blank.height)}
                    {part.layer.ribbon > 0 && `, ${say(part.layer.ribbon, 'up')} of ribbon`}
                  </Words>
                </small>
              )}
            </span>
            <Button
              type="text"
              icon={<DeleteOutlined />}
              aria-label={`Take away: ${name}`}
              onClick={() => onChange({ layers: layers.filter((_, other) => other !== i) }, `no-layer-${i}`)}
            />
            {on !== 'sheet' && (
              <LengthField
                label={`Border of the ${name}`}
                value={reveal}
                least={0}
                most={60}
                onChange={(border) => change(i, { reveal: border as typeof reveal }, `layer-${i}-reveal`)}
              />
            )}
            {on === 'inside' && (
              <Checkbox
                checked={pull}
                onChange={(event) => change(i, { pull: event.target.checked }, `layer-${i}-pull`)}
              >
                A ribbon to pull it out by
              </Checkbox>
            )}
          </div>
        );
      })}
      <MenuButton
        icon={<PlusOutlined />}
        items={offered.map((on) => ({ key: on, label: LAYER_TITLE[on] }))}
        onPick={(on) =>
          onChange(
            { layers: [...layers, { id: newId(), on: on as LayerPlace, pull: false }] },
            `layer-on-${on}-${layers.length}`,
          )
        }
      >
        Add a layer
      </MenuButton>
    </div>
  );
}
