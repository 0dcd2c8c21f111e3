<p>soon</p>
