<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Something a client asked to have written and that was done, so that the same request sent again is not done again.
 *
 * @property string $id the client's own
 * @property string $asked the method, the address and a hash of the body; without the hash where it was done before that was noted
 * @property int $status of the answer
 * @property array<string, mixed> $answer its body, or `{"design": id}` where it was a design as it is
 * @property string $done_at ISO 8601, UTC
 */
final class DoneRequest extends Model
{
    protected $table = 'deeds';

    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    protected $casts = ['answer' => 'array', 'status' => 'integer'];
}
