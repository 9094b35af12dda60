import { SearchOutlined } from '@ant-design/icons';
import { Input } from 'antd';

interface SearchFieldProps {
  /** What is searched, as in “Search the log”. */
  readonly label: string;
  /** Where its words are looked for. */
  readonly placeholder: string;
  readonly value: string;
  readonly onChange: (words: string) => void;
  readonly className?: string;
}

/** Words to look for; what stands in it is kept in the address (`useInAddress`). */
export const SearchField = ({ label, placeholder, value, onChange, className = '' }: SearchFieldProps) => (
  <Input
    className={className}
    allowClear
    prefix={<SearchOutlined aria-hidden />}
    aria-label={label}
    placeholder={placeholder}
    value={value}
    onChange={({ target }) => onChange(target.value)}
  />
);

/** Whether each of the words occurs, whatever its letters’ case. */
export function searching(words: string): (text: string) => boolean {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return (text) => {
    const within = text.toLowerCase();
    return wanted.every((word) => within.includes(word));
  };
}
