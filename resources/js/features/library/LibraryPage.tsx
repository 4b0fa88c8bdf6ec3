import type { Catalogue } from '@/api/client'
import { useLibrary } from '@/api/useLibrary'
import { ErrorNote } from '@/ui/ErrorNote'
import { Header } from '@/ui/Header'
import { Page } from '@/ui/Main'
import { words } from '@/words'
import { Cutters } from './Cutters'
import { Envelopes } from './Envelopes'
import { Papers } from './Papers'
import { Sizes } from './Sizes'
import { ToolSets } from './ToolSets'

/** The maker's own sizes, tools, papers and cutting machines. */
export function LibraryPage({ kind, catalogue }: { kind: string; catalogue: Catalogue }) {
  const { library, isFailing } = useLibrary()
  return (
    <div className="flex h-full flex-col">
      <Header />
      <Page title={words(`place.${kind}`)}>
        <div className="mx-auto max-w-5xl">
          {isFailing && <ErrorNote>{words('saving.try-again')}</ErrorNote>}
          {library && kind === 'sizes' && <Sizes own={library.sizes} published={catalogue.sizes} />}
          {library && kind === 'tools' && <ToolSets sets={library.tools} />}
          {library && kind === 'cutters' && <Cutters own={library.cutters} />}
          {library && kind === 'papers' && (
            <>
              <Papers papers={library.papers} />
              <Envelopes envelopes={library.envelopes} />
            </>
          )}
        </div>
      </Page>
    </div>
  )
}
