import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { CONSTRUCTIONS, constructionNamed } from '@/core/constructions';
import { Holder } from '@/ui/holders/Holder';

interface HolderPage {
  readonly params: Promise<{ readonly name: string }>;
}

export const dynamicParams = false;
export const generateStaticParams = () => CONSTRUCTIONS.map(({ name }) => ({ name }));

export async function generateMetadata({ params }: HolderPage): Promise<Metadata> {
  return { title: `${constructionNamed((await params).name)?.title ?? 'Holder'} · Tuck Fold` };
}

export default async function Page({ params }: HolderPage) {
  const { name } = await params;
  if (!constructionNamed(name)) notFound();
  return <Holder name={name} />;
}
