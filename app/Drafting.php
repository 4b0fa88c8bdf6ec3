<?php

declare(strict_types=1);

namespace App;

use App\Models\AppliedEdit;
use App\Models\Design;
use App\Models\Revision;
use Gimbo\Core\Design\Design as Sized;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\DesignDocument;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Exchange\ThumbnailWriter;
use Gimbo\Core\Request\Change;
use Gimbo\Core\Request\SpecEditor;
use Gimbo\Core\Sizing;
use Illuminate\Support\Facades\DB;

/** Keeps designs: every change is sized first and then saved in one transaction, or not at all. */
final readonly class Drafting
{
    public function __construct(private Sizing $sizing)
    {
    }

    public function start(DesignDocument $document): Design
    {
        $sized = $this->sizing->size($document->spec);

        return DB::transaction(function () use ($document, $sized): Design {
            $design = new Design(['revision' => 1, 'name' => $document->name] + self::shelfView($sized));
            $design->save();
            $design->revisions()->create(['number' => 1, 'document' => $document->toArray()]);

            return $design;
        });
    }

    /**
     * Applies the changes as one edit; sent again with the same id it is not done twice.
     *
     * @param list<Change> $changes
     *
     * @throws InvalidDocument when the outcome is not a design; nothing is saved then
     */
    public function edit(string $id, string $editId, ?string $gesture, array $changes): Design
    {
        return DB::transaction(function () use ($id, $editId, $gesture, $changes): Design {
            $design = Design::query()->findOrFail($id);
            if (AppliedEdit::query()->whereKey($editId)->exists()) {
                return $design;
            }
            $before = $design->document();
            $name = $before->name;
            $fieldChanges = [];
            foreach ($changes as $change) {
                $change->at === '/name' ? $name = $change->to : $fieldChanges[] = $change;
            }
            $spec = $fieldChanges === [] ? $before->spec : SpecEditor::apply($this->sizing->size($before->spec), $fieldChanges);
            $sized = $this->sizing->size($spec);
            $this->append($design, DesignDocument::of($name, $spec), $sized, $gesture);
            AppliedEdit::query()->create(['id' => $editId, 'design_id' => $design->id]);

            return $design;
        });
    }

    /** Goes from revision $from to the one before (-1) or after (1) it, if that is where the design is and there is one. */
    public function step(string $id, int $from, int $by): Design
    {
        return DB::transaction(function () use ($id, $from, $by): Design {
            $design = Design::query()->findOrFail($id);
            if ($design->revision === $from && $design->revisions()->where('number', $from + $by)->exists()) {
                $design->revision += $by;
                $document = $design->document();
                $design->fill(['name' => $document->name] + self::shelfView($this->sizing->size($document->spec)))->save();
            }

            return $design;
        });
    }

    public function sized(Design $design): Sized
    {
        return $this->sizing->size($design->document()->spec);
    }

    private function append(Design $design, DesignDocument $document, Sized $sized, ?string $gesture): void
    {
        $current = $design->current();
        if ($current->document == $document->toArray()) {
            return;
        }
        $design->revisions()->where('number', '>', $design->revision)->delete();
        if ($gesture !== null && $current->gesture === $gesture) {
            $current->fill(['document' => $document->toArray()])->save();
        } else {
            $design->revision++;
            $design->revisions()->create(['number' => $design->revision, 'document' => $document->toArray(), 'gesture' => $gesture]);
        }
        $design->fill(['name' => $document->name] + self::shelfView($sized))->touch();
    }

    /** @return array{drawing: array<string, mixed>, summary: array<string, mixed>} */
    private static function shelfView(Sized $sized): array
    {
        $written = DesignWriter::write($sized);

        return [
            'drawing' => ThumbnailWriter::write($sized->pieces[0]),
            'summary' => ['make' => $sized->request->make, 'system' => $written['system'], 'holds' => $written['holds'], 'fits' => array_filter($sized->fits, fn ($fit) => ! $fit->isOk()) === []],
        ];
    }
}
