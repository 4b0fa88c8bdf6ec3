<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Carbon;
use LogicException;

/**
 * A design on the shelf: a chain of revisions and the one the maker sees.
 *
 * @property string $id
 * @property int $revision
 * @property string $name
 * @property array<string, mixed> $drawing
 * @property array<string, mixed> $summary
 * @property Carbon $created_at
 * @property Carbon $updated_at
 */
final class Design extends Model
{
    use HasUuids;
    use SoftDeletes;

    protected $guarded = [];

    protected $casts = ['drawing' => 'array', 'summary' => 'array', 'revision' => 'integer'];

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class);
    }

    public function current(): Revision
    {
        return $this->revisions()->where('number', $this->revision)->first() ?? throw new LogicException('A design without its revision.');
    }
}
