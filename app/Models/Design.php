<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\KeptJson;
use Gimbo\Core\Exchange\DesignDocument;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A design on the shelf: a chain of revisions and the one the maker sees.
 *
 * @property string $id
 * @property int $revision
 * @property string $name
 * @property array<string, mixed> $document of the current revision
 * @property ?string $gesture that made it: edits of one gesture (one stay in a field) share a revision
 * @property array<string, mixed> $drawing
 * @property array<string, mixed> $summary
 * @property string $saved_at ISO 8601, UTC
 * @property string $group the name of what it stands with on the shelf; empty for none
 * @property ?string $variant_of the design it is compared with
 */
final class Design extends Model
{
    use HasUuids;
    use SoftDeletes;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['document' => KeptJson::class, 'drawing' => KeptJson::class, 'summary' => KeptJson::class, 'revision' => 'integer'];

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class);
    }

    /** Whether there is something that redo goes on to. */
    public function hasLater(): bool
    {
        return $this->revisions()->where('number', '>', $this->revision)->exists();
    }

    /** Another one, whenever anything of the design is another. */
    public function mark(): string
    {
        return $this->revision.'-'.substr(hash('xxh128', (string) json_encode($this->document)), 0, 16);
    }

    /** @return HasMany<self, $this> */
    public function variants(): HasMany
    {
        return $this->hasMany(self::class, 'variant_of');
    }

    /**
     * @param array<string, mixed> $kept
     */
    public static function document(array $kept): DesignDocument
    {
        return DesignDocument::kept($kept);
    }

    /** Trusted: nothing is saved that was not read and sized before. */
    public function toDocument(): DesignDocument
    {
        return self::document($this->document);
    }
}
