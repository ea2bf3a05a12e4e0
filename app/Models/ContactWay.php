<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A telephone or a mail of a contact.
 *
 * @property int $id
 * @property int $contact_id
 * @property string $kind phone, mail
 * @property string $at
 */
class ContactWay extends Model
{
    public const PHONE = 'phone';

    public const MAIL = 'mail';

    public $timestamps = false;

    protected $table = 'contact_ways';

    protected $guarded = [];

    /** What is opened when it is touched (RFC 3966, RFC 6068). */
    public function address(): string
    {
        return $this->kind === self::MAIL
            ? 'mailto:'.str_replace('%40', '@', rawurlencode($this->at))
            : 'tel:'.preg_replace('/[^0-9+]/', '', $this->at);
    }
}
