<?php

declare(strict_types=1);

namespace App\Models;

use Gimbo\Core\Library\EntryReader;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A size, a set of tools or a paper that the maker keeps.
 *
 * @property string $id
 * @property string $kind one of Library\Kind
 * @property array<string, mixed> $entry as EntryReader reads it
 */
final class Entry extends Model
{
    use HasUuids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['entry' => 'array'];

    /** @return array<string, mixed> as the browser gets it */
    public function view(): array
    {
        return ['id' => $this->id] + $this->entry;
    }
}
