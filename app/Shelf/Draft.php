<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Models\Design;
use Gimbo\Core\Design\Design as Sized;
use Gimbo\Core\Exchange\DesignDocument;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Fit\Fit;

/** A design on the shelf, the document of its current revision, and what the core makes of it; whether redo has somewhere to go. */
final readonly class Draft
{
    public function __construct(public Design $design, public DesignDocument $document, public Sized $sized, public bool $hasLater = false)
    {
    }

    /** @return array{make: string, system: string, holds: array<string, mixed>, fits: bool} what the shelf says of it */
    public function summary(): array
    {
        return [
            'make' => $this->sized->request->make,
            'system' => $this->sized->request->system->value,
            'holds' => DesignWriter::held($this->sized),
            'fits' => array_filter($this->sized->fits, fn (Fit $fit) => ! $fit->isOk()) === [],
        ];
    }
}
