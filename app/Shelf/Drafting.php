<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Models\Design;
use App\Models\Moment;
use App\Models\Revision;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\DesignDocument;
use Gimbo\Core\Exchange\ThumbnailWriter;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Change;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Keeps designs: every change is sized first and then saved in one transaction, or not at all. */
final readonly class Drafting
{
    public function __construct(private Sizing $sizing)
    {
    }

    /** @throws InvalidDocument when the document's spec is none */
    public function start(DesignDocument $document, string $group = '', ?string $variantOf = null): Draft
    {
        $document = $document->sizedBy($this->sizing->request($document->spec)->spec);

        return DB::transaction(function () use ($document, $group, $variantOf): Draft {
            $design = new Design(['revision' => 1, 'group' => $group, 'variant_of' => $variantOf]);
            $draft = $this->shelved($design, $document);
            $design->revisions()->create(['number' => 1, 'document' => $document->toArray(), 'made_at' => Moment::now(), 'change_id' => (string) Str::uuid7()]);

            return $draft;
        });
    }

    public function draft(Design $design): Draft
    {
        $document = $design->toDocument();

        return new Draft($design, $document, $this->sizing->size($document->spec), $design->hasLater());
    }

    /**
     * Applies the changes as one edit.
     *
     * @param ?int $seen the revision the maker saw as she made it, where that is known
     * @param list<Change> $changes
     * @param ?string $change the id of what this is part of, where several designs are changed at once
     *
     * @throws InvalidDocument when the outcome is not a design; nothing is saved then
     * @throws Overtaken when it was undone elsewhere since, and what could be done again there would be lost
     */
    public function edit(string $id, ?int $seen, ?string $gesture, array $changes, ?string $change = null): Draft
    {
        return DB::transaction(function () use ($id, $seen, $gesture, $changes, $change): Draft {
            $design = Design::query()->findOrFail($id);
            if ($seen !== null && $design->revision < $seen && $design->hasLater()) {
                throw Overtaken::byUndo();
            }
            $before = $design->toDocument();
            $after = $this->changed($before, $changes);

            return $after->toArray() == $before->toArray() ? $this->draft($design) : $this->revised($design, $after, $gesture, $change);
        });
    }

    /** Makes the design what a document says, as one more revision. */
    public function become(string $id, DesignDocument $document): Draft
    {
        return DB::transaction(fn (): Draft => $this->revised(Design::query()->findOrFail($id), $document, null));
    }

    /** The design becomes what one of its variants is, under its own name; all its variants go. */
    public function keep(Design $design, Design $variant): Draft
    {
        return DB::transaction(function () use ($design, $variant): Draft {
            $document = $design->toDocument()->sizedBy($variant->toDocument()->spec);
            $design->variants()->forceDelete();

            return $this->revised($design, $document, null);
        });
    }

    private function revised(Design $design, DesignDocument $document, ?string $gesture, ?string $change = null): Draft
    {
        if ($gesture === null || $design->gesture !== $gesture) {
            $design->revision++;
            $design->gesture = $gesture;
            $change ??= (string) Str::uuid7();
        }
        $change ??= $design->revisions()->where('number', $design->revision)->value('change_id');
        $design->revisions()->where('number', '>=', $design->revision)->delete();
        $design->revisions()->create(['number' => $design->revision, 'document' => $document->toArray(), 'made_at' => Moment::now(), 'change_id' => $change]);

        return $this->shelved($design, $document);
    }

    /**
     * Goes from revision $from by so many (back: negative), if that is where the design is and there is one. A change
     * that other designs share is taken back, or done again, in all of them.
     *
     * @throws Overtaken when one of them was changed again since; nothing is done then
     */
    public function step(string $id, int $from, int $by): Draft
    {
        return DB::transaction(function () use ($id, $from, $by): Draft {
            $design = Design::query()->findOrFail($id);
            $there = $design->revision === $from ? $design->revisions()->where('number', $from + $by)->first() : null;
            if ($there === null) {
                return $this->draft($design);
            }
            $changes = $design->revisions()->whereBetween('number', $by < 0 ? [$from + $by + 1, $from] : [$from + 1, $from + $by])->whereNotNull('change_id')->pluck('change_id');
            foreach (Revision::query()->whereIn('change_id', $changes)->where('design_id', '!=', $id)->get() as $shared) {
                $this->moved(Design::withTrashed()->findOrFail($shared->design_id), $by < 0 ? $shared->number : $shared->number - 1, $by);
            }

            return $this->moved($design, $from, $by);
        });
    }

    private function moved(Design $design, int $from, int $by): Draft
    {
        $there = $design->revision === $from ? $design->revisions()->where('number', $from + $by)->first() : null;
        $there !== null || throw Overtaken::inAnother();
        $design->fill(['revision' => $there->number, 'document' => $there->document, 'gesture' => null]);

        return $this->shelved($design, $design->toDocument());
    }

    /** @param list<Change> $changes */
    private function changed(DesignDocument $before, array $changes): DesignDocument
    {
        [$name, $notes, $by] = [$before->name, $before->notes, $before->by];
        $fieldChanges = [];
        foreach ($changes as $change) {
            match ($change->at) {
                '/name' => $name = $change->to,
                '/notes' => $notes = $change->to,
                '/by' => $by = $change->to,
                default => $fieldChanges[] = $change,
            };
        }

        return DesignDocument::of($name, $this->sizing->edited($before->spec, $fieldChanges), $notes, $by);
    }

    /** Sizes the document and saves on the design what the shelf shows of it. */
    private function shelved(Design $design, DesignDocument $document): Draft
    {
        $sized = $this->sizing->size($document->spec);
        $draft = new Draft($design, $document, $sized, $design->exists && $design->hasLater());
        $design->fill([
            'name' => $document->name,
            'document' => $document->toArray(),
            'drawing' => ThumbnailWriter::write($sized->pieces[0]),
            'summary' => $draft->summary(),
            'saved_at' => Moment::now(),
        ])->save();

        return $draft;
    }
}
