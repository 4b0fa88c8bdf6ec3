<?php

declare(strict_types=1);

namespace App\Models;

use Gimbo\Core\Exchange\DesignDocument;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One state of a design that undo and redo can go to.
 *
 * @property int $id
 * @property string $design_id
 * @property int $number
 * @property array<string, mixed> $document
 * @property ?string $gesture
 * @property Carbon $created_at
 */
final class Revision extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];

    protected $casts = ['document' => 'array', 'number' => 'integer'];

    /** Trusted: nothing is saved that was not read and sized before. */
    public function toDocument(): DesignDocument
    {
        return DesignDocument::of($this->document['name'] ?? null, (array) ($this->document['spec'] ?? []));
    }
}
